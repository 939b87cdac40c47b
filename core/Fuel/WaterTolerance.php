<?php

declare(strict_types=1);

namespace AwakeShed\Core\Fuel;

use AwakeShed\Core\Table;
use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Temperature;
use AwakeShed\Core\Units\TemperatureUnit;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeUnit;

/**
 * How much water a gasoline–ethanol blend holds before it separates.
 *
 * Two points are published (named in data/water-tolerance.json): E10 and ethanol-free gasoline at 60 °F. The rest of
 * the table is from memory, and so is everything read between its nodes: the logarithm of the tolerance is
 * interpolated linearly over ethanol content and over temperature. Good to about ±30 % away from the published
 * points; {@see ToleratedWater::$fromMemory} says when a result leans on memory.
 */
final readonly class WaterTolerance
{
    /** Relative half-width granted to values that lean on memory. */
    private const MEMORY_SPREAD = 0.30;

    /** Relative half-width at the published points: both were given to one or two figures. */
    private const PUBLISHED_SPREAD = 0.10;

    /**
     * @param non-empty-list<float>                       $ethanol   fractions by volume, rising
     * @param non-empty-list<float>                       $celsius   rising
     * @param non-empty-list<non-empty-list<float>>       $water     fraction by volume, one row for each temperature
     * @param list<array{ethanol: float, celsius: float}> $published
     */
    private function __construct(private array $ethanol, private array $celsius, private array $water, private array $published)
    {
    }

    public static function shipped(): self
    {
        /** @var array{ethanol: non-empty-list<float>, celsius: non-empty-list<float>, water: non-empty-list<non-empty-list<float>>, published: list<array{ethanol: float, celsius: float}>} $table */
        $table = Table::read(__DIR__.'/data/water-tolerance.json');

        return new self($table['ethanol'], $table['celsius'], $table['water'], $table['published']);
    }

    /**
     * @param float       $ethanolFraction by volume, 0 to 0.15
     * @param Temperature $at              −20 to +40 °C
     * @param Volume      $tank            fuel in the tank, 1 mL to 200 L
     *
     * @throws ImpossibleAmount when any of them is outside its interval
     */
    public function tolerated(float $ethanolFraction, Temperature $at, Volume $tank): ToleratedWater
    {
        $mostEthanol = $this->ethanol[\count($this->ethanol) - 1];
        if (!($ethanolFraction >= 0.0 && $ethanolFraction <= $mostEthanol)) {
            throw ImpossibleAmount::outside(100 * $ethanolFraction, 0.0, 100 * $mostEthanol, '%');
        }
        $celsius = new Interval($this->celsius[0], $this->celsius[\count($this->celsius) - 1], TemperatureUnit::Celsius);
        $celsius->demand($at);
        (new Interval(1.0, 200_000.0, VolumeUnit::Millilitre))->demand($tank);

        // The interval forgives rounding at its ends; the table does not.
        $degrees = max($celsius->least, min($celsius->most, $at->inCelsius()));
        $row = self::bracket($this->celsius, $degrees);
        $column = self::bracket($this->ethanol, $ethanolFraction);
        $logarithm = 0.0;
        foreach ([[$row->below, 1 - $row->share], [$row->below + 1, $row->share]] as [$y, $rowShare]) {
            foreach ([[$column->below, 1 - $column->share], [$column->below + 1, $column->share]] as [$x, $columnShare]) {
                $logarithm += $rowShare * $columnShare * log($this->water[$y][$x]);
            }
        }
        $fromMemory = !$this->isPublished($ethanolFraction, $degrees);
        $water = $tank->times(exp($logarithm));

        return new ToleratedWater($water, $water->times($fromMemory ? self::MEMORY_SPREAD : self::PUBLISHED_SPREAD), exp($logarithm), $fromMemory);
    }

    private function isPublished(float $ethanolFraction, float $celsius): bool
    {
        foreach ($this->published as $point) {
            if (abs($point['ethanol'] - $ethanolFraction) < 0.0005 && abs($point['celsius'] - $celsius) < 0.25) {
                return true;
            }
        }

        return false;
    }

    /** @param non-empty-list<float> $nodes */
    private static function bracket(array $nodes, float $value): TableBracket
    {
        $below = 0;
        while ($below < \count($nodes) - 2 && $value > $nodes[$below + 1]) {
            ++$below;
        }

        return new TableBracket($below, ($value - $nodes[$below]) / ($nodes[$below + 1] - $nodes[$below]));
    }
}
