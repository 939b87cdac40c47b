<?php

declare(strict_types=1);

namespace AwakeShed\App\Spec;

use AwakeShed\App\Unit\Measure;
use AwakeShed\Core\Spec\SpecFigure;
use AwakeShed\Core\Spec\SpecValue;
use AwakeShed\Core\Units\Quantity;

/** How the spec book's figures are shown and typed. */
final readonly class SpecMeasure
{
    private function __construct()
    {
    }

    public static function forFigure(SpecFigure $figure): Measure
    {
        return match ($figure) {
            SpecFigure::Displacement => Measure::Displacement,
            SpecFigure::CompressionRatio => Measure::CompressionRatio,
            SpecFigure::Oil => Measure::OilVolume,
            SpecFigure::OilPerMillimetre => Measure::DipstickVolume,
            SpecFigure::Tank => Measure::TankVolume,
            SpecFigure::GovernedSpeed => Measure::GovernedSpeed,
            SpecFigure::Blade => Measure::BladeLength,
            SpecFigure::LashLeast, SpecFigure::LashMost, SpecFigure::ExhaustLashLeast, SpecFigure::ExhaustLashMost, SpecFigure::CoilGapLeast, SpecFigure::CoilGapMost, SpecFigure::PlugGapLeast, SpecFigure::PlugGapMost => Measure::FeelerGap,
            SpecFigure::CoilWinding => Measure::Winding,
            SpecFigure::PumpFlow => Measure::WaterFlow,
            SpecFigure::PumpPressure => Measure::WorkingPressure,
            SpecFigure::Poles, SpecFigure::Cylinders => Measure::Pieces,
            SpecFigure::RatedFrequency => Measure::OutletFrequency,
            SpecFigure::MainJet, SpecFigure::PilotJet => Measure::Bore,
        };
    }

    public static function quantity(SpecValue $value): Quantity
    {
        return self::forFigure($value->figure)->quantity()::of($value->amount, $value->figure->possible()->unit);
    }
}
