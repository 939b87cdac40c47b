<?php

declare(strict_types=1);

namespace AwakeShed\App\Drawing;

use AwakeShed\Core\Carburetor\CarburetorType;
use AwakeShed\Core\Carburetor\PassageState;
use AwakeShed\Core\Table;

/** A carburetor type in section: its holes, numbered, and its passages as far as they are proved. */
final readonly class SectionDrawing
{
    /**
     * @param list<array{as: string, d: string}>                                        $shapes   from the back to the front: what each is, and SVG path data
     * @param array<string, array{x: int, y: int, at: array{int, int}, number: int}>    $ports    the hole, and where its number stands
     * @param list<array{state: PassageState, paths: list<string>, x: float, y: float}> $passages with the place of a mark on the first path
     */
    private function __construct(public array $shapes, public array $ports, public array $passages, public string $chosen)
    {
    }

    /**
     * @param list<PassageState> $states
     * @param string             $chosen the hole that is looked at; empty for none
     */
    public static function ofCarburetor(CarburetorType $type, array $states, string $chosen): self
    {
        /** @var array{sections: array<string, array{shapes: list<array{as: string, d: string}>, ports: array<string, array{hole: array{int, int}, number: array{int, int}}>, lines: array<string, non-empty-list<non-empty-list<array{int, int}>>>}>} $data */
        $data = Table::read(\dirname(__DIR__).'/Carburetor/data/sections.json');
        $section = $data['sections'][$type->id] ?? throw new \LogicException('Every carburetor type has its section.');
        $ports = [];
        foreach ($type->ports() as $number => $port) {
            ['hole' => [$x, $y], 'number' => $at] = $section['ports'][$port];
            $ports[$port] = ['x' => $x, 'y' => $y, 'at' => $at, 'number' => $number + 1];
        }
        $passages = array_map(static function (PassageState $state) use ($section): array {
            $lines = $section['lines'][$state->passage->id];
            [$x, $y] = self::markedAt($lines[0]);

            return [
                'state' => $state,
                'paths' => array_map(static fn (array $points): string => 'M'.implode('L', array_map(static fn (array $point): string => $point[0].' '.$point[1], $points)), $lines),
                'x' => $x,
                'y' => $y,
            ];
        }, $states);

        return new self($section['shapes'], $ports, $passages, $chosen);
    }

    /**
     * A third along its longest stretch: the middle is where lines cross and holes lie.
     *
     * @param non-empty-list<array{int, int}> $points
     *
     * @return array{float, float}
     */
    private static function markedAt(array $points): array
    {
        $longest = 0.0;
        $place = [(float) $points[0][0], (float) $points[0][1]];
        for ($to = 1; $to < \count($points); ++$to) {
            [[$x, $y], [$nextX, $nextY]] = [$points[$to - 1], $points[$to]];
            $length = hypot($nextX - $x, $nextY - $y);
            if ($length > $longest) {
                $longest = $length;
                $place = [$x + ($nextX - $x) / 3, $y + ($nextY - $y) / 3];
            }
        }

        return $place;
    }
}
