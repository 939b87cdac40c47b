<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc;

use AwakeShed\App\Unit\Measure;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Units\LengthUnit;
use AwakeShed\Core\Units\PressureUnit;
use AwakeShed\Core\Units\Quantity;
use AwakeShed\Core\Units\SpeedUnit;
use AwakeShed\Core\Units\VolumeUnit;

/** What was measured with a finding, to be shown in the reader's units: the unit is the end of each figure's name. */
final readonly class Measurement
{
    /** @param array<string, Quantity|float> $figures by name */
    private function __construct(public Finding $finding, public array $figures)
    {
    }

    /**
     * Before and after: the first time a test was measured in a job, and the last.
     *
     * @return list<self> two at the most
     */
    public static function pair(CaseFile $case, string $test): array
    {
        $measured = array_values(array_filter($case->events, static fn (mixed $event): bool => $event instanceof Finding && $event->test === $test && [] !== array_filter($event->measured, is_numeric(...))));
        $ends = \count($measured) < 2 ? $measured : [$measured[0], $measured[\count($measured) - 1]];

        return array_map(self::ofFinding(...), $ends);
    }

    public static function measureOf(string $figure): ?Measure
    {
        return match (true) {
            str_contains($figure, 'loss_psi') => Measure::PressureLoss,
            str_ends_with($figure, '_psi') => Measure::GaugePressure,
            str_ends_with($figure, '_mm') => Measure::FeelerGap,
            str_ends_with($figure, '_rpm') => Measure::GovernedSpeed,
            str_ends_with($figure, '_ml') => Measure::OilVolume,
            default => null,
        };
    }

    private static function ofFinding(Finding $finding): self
    {
        $figures = [];
        foreach (array_filter($finding->measured, is_numeric(...)) as $name => $value) {
            $measure = self::measureOf($name);
            $unit = match ($measure) {
                Measure::PressureLoss, Measure::GaugePressure => PressureUnit::Psi,
                Measure::FeelerGap => LengthUnit::Millimetre,
                Measure::GovernedSpeed => SpeedUnit::Rpm,
                default => VolumeUnit::Millilitre,
            };
            $figures[$name] = null === $measure ? (float) $value : $measure->quantity()::of((float) $value, $unit);
        }

        return new self($finding, $figures);
    }
}
