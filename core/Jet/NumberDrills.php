<?php

declare(strict_types=1);

namespace AwakeShed\Core\Jet;

use AwakeShed\Core\Table;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\LengthUnit;

/** The number drills from 80 to 60 (ASME B94.11M, published; data/number-drills.json). */
final readonly class NumberDrills
{
    /** @param non-empty-array<int, float> $inches number => diameter, thinnest first */
    private function __construct(private array $inches)
    {
    }

    public static function shipped(): self
    {
        /** @var array{inches: non-empty-array<int, float>} $data */
        $data = Table::read(__DIR__.'/data/number-drills.json');
        $inches = $data['inches'];
        asort($inches);

        return new self($inches);
    }

    public function diameter(int $number): ?Length
    {
        return isset($this->inches[$number]) ? Length::of($this->inches[$number], LengthUnit::Inch) : null;
    }

    /**
     * @param Length $error half-width of the bore: a drill within it may be the one it was made with
     *
     * @return int|null the thinnest drill surely wider than the bore; null beyond the table
     */
    public function nextAbove(Length $bore, Length $error): ?int
    {
        $bore = $bore->plus($error);
        foreach ($this->inches as $number => $inches) {
            // A bore made with a drill, measured back in millimetres, is that drill and not a hair more.
            if ($inches > $bore->in(LengthUnit::Inch) * (1 + 1e-6)) {
                return $number;
            }
        }

        return null;
    }

    /** @return int the drill whose diameter is nearest */
    public function nearest(Length $bore): int
    {
        $distances = array_map(static fn (float $inches): float => abs($inches - $bore->in(LengthUnit::Inch)), $this->inches);

        return array_keys($distances, min($distances), true)[0];
    }
}
