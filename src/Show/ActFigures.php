<?php

declare(strict_types=1);

namespace AwakeShed\App\Show;

use AwakeShed\Core\Units\DecimalText;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\Volume;

/** The figures of an act in the reader's units; the core keeps volumes in mL and bores in mm, and the rest are plain numbers. */
final readonly class ActFigures
{
    private const MEASURES = ['ml' => Measure::OilVolume, 'thrown_ml' => Measure::CylinderVolume, 'bore_mm' => Measure::Bore];

    public function __construct(private Quantities $quantities)
    {
    }

    /** The symbol typed numbers are meant in; null where they are a count or minutes. */
    public function unit(string $field): ?string
    {
        return isset(self::MEASURES[$field]) ? $this->quantities->unit(self::MEASURES[$field])->symbol() : null;
    }

    public function show(string $field, float $value): string
    {
        return isset(self::MEASURES[$field]) ? $this->quantities->show('bore_mm' === $field ? Length::millimetres($value) : Volume::millilitres($value), self::MEASURES[$field]) : $this->quantities->number($value, 2);
    }

    /** @throws \AwakeShed\Core\Units\UnreadableAmount */
    public function read(string $field, string $typed): float
    {
        return match (true) {
            'bore_mm' === $field => $this->quantities->length($typed, self::MEASURES[$field])->inMillimetres(),
            isset(self::MEASURES[$field]) => $this->quantities->volume($typed, self::MEASURES[$field])->inMillilitres(),
            default => DecimalText::parse($typed),
        };
    }
}
