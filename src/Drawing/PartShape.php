<?php

declare(strict_types=1);

namespace AwakeShed\App\Drawing;

use AwakeShed\Core\Carburetor\Material;

/** What a part of a machine looks like in a few strokes; own pictograms, in templates/drawing/part.svg.twig. */
enum PartShape: string
{
    case Jet = 'jet';
    case Tube = 'tube';
    case Needle = 'needle';
    case Seat = 'seat';
    case Float = 'float';
    case Pin = 'pin';
    case Bowl = 'bowl';
    case Gasket = 'gasket';
    case Ring = 'ring';
    case Spring = 'spring';
    case Link = 'link';
    case Nut = 'nut';
    case Screw = 'screw';
    case Plate = 'plate';
    case Hose = 'hose';
    case Diaphragm = 'diaphragm';
    case Lever = 'lever';
    case Bulb = 'bulb';
    case Screen = 'screen';
    case Cover = 'cover';
    case Block = 'block';

    /** By the word for what it is, which the last part of a kind's name says; else by what it is made of. */
    public static function ofPart(?string $kind, Material $material): self
    {
        if ('bowl_nut' === $kind) {
            return self::Screw; // A bolt with the jet in it.
        }
        $word = null === $kind ? '' : substr('_'.$kind, (int) strrpos('_'.$kind, '_') + 1);

        return self::tryFrom(rtrim($word, 's')) ?? match ($word) {
            'bolt', 'stop', 'high', 'low' => self::Screw,
            'washer', 'upper', 'lower' => self::Ring,
            'base', 'shroud', 'housing' => self::Cover,
            'tank' => self::Bowl,
            'bracket' => self::Link,
            'insulator', 'piece', 'insert' => self::Block,
            'lines' => self::Hose,
            'plug' => self::Plate,
            default => match ($material) {
                Material::Rubber => self::Hose,
                Material::Paper, Material::Fiber => self::Gasket,
                default => self::Block,
            },
        };
    }
}
