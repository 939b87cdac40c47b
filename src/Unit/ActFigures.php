<?php

declare(strict_types=1);

namespace AwakeShed\App\Unit;

use AwakeShed\Core\Units\DecimalText;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\LengthUnit;
use AwakeShed\Core\Units\TemperatureUnit;
use AwakeShed\Core\Units\VolumeUnit;

/** The figures of an act in the reader's units; the core keeps them in the unit a field's name ends with, and the rest are plain numbers. */
final readonly class ActFigures
{
    private const MEASURES = [
        'ml' => [Measure::OilVolume, VolumeUnit::Millilitre],
        'thrown_ml' => [Measure::CylinderVolume, VolumeUnit::Millilitre],
        'bore_mm' => [Measure::Bore, LengthUnit::Millimetre],
        'air_c' => [Measure::AirTemperature, TemperatureUnit::Celsius],
    ];

    public function __construct(private Quantities $quantities)
    {
    }

    /** The symbol typed numbers are meant in; null where they are a count or minutes. */
    public function unit(string $field): ?string
    {
        return isset(self::MEASURES[$field]) ? $this->quantities->unit(self::MEASURES[$field][0])->symbol() : null;
    }

    public function show(string $field, float $value): string
    {
        if (!isset(self::MEASURES[$field])) {
            return $this->quantities->number($value, 2);
        }
        [$measure, $unit] = self::MEASURES[$field];

        return $this->quantities->show($measure->quantity()::of($value, $unit), $measure);
    }

    /**
     * @param array{float, float}|null $possible of the figure, where the step bounds it
     *
     * @throws \AwakeShed\Core\Units\UnreadableAmount
     * @throws \AwakeShed\Core\Units\AmbiguousAmount
     */
    public function read(string $field, string $typed, ?array $possible = null): float
    {
        if (!isset(self::MEASURES[$field])) {
            return DecimalText::parse($typed, ...$possible ?? []);
        }
        [$measure, $unit] = self::MEASURES[$field];

        return $this->quantities->read($typed, $measure, $measure->quantity(), possible: null === $possible ? null : new Interval($possible[0], $possible[1], $unit))->in($unit);
    }
}
