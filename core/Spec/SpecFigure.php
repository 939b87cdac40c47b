<?php

declare(strict_types=1);

namespace AwakeShed\Core\Spec;

use AwakeShed\Core\Units\CountUnit;
use AwakeShed\Core\Units\FlowUnit;
use AwakeShed\Core\Units\FrequencyUnit;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\LengthUnit;
use AwakeShed\Core\Units\PressureUnit;
use AwakeShed\Core\Units\RatioUnit;
use AwakeShed\Core\Units\ResistanceUnit;
use AwakeShed\Core\Units\SpeedUnit;
use AwakeShed\Core\Units\VolumeUnit;

/** The figures a spec book keeps of a machine; the unit is part of the name. */
enum SpecFigure: string
{
    case Displacement = 'displacement_cc';
    case Cylinders = 'cylinders';
    case CompressionRatio = 'compression_ratio';
    case Oil = 'oil_ml';
    case OilPerMillimetre = 'oil_ml_per_mm';
    case Tank = 'tank_ml';
    case GovernedSpeed = 'governed_rpm';
    case Blade = 'blade_mm';
    case LashLeast = 'lash_least_mm';
    case LashMost = 'lash_most_mm';

    /** Where the exhaust valve has its own. */
    case ExhaustLashLeast = 'exhaust_lash_least_mm';
    case ExhaustLashMost = 'exhaust_lash_most_mm';
    case CoilGapLeast = 'coil_gap_least_mm';
    case CoilGapMost = 'coil_gap_most_mm';
    case PlugGapLeast = 'plug_gap_least_mm';
    case PlugGapMost = 'plug_gap_most_mm';
    case CoilWinding = 'coil_kohm';
    case PumpFlow = 'pump_gal_per_min';
    case PumpPressure = 'pump_psi';
    case Poles = 'poles';
    case RatedFrequency = 'rated_hz';
    case MainJet = 'main_jet_mm';
    case PilotJet = 'pilot_jet_mm';

    /** What no small machine is outside of (common practice, drawn wide), in the unit of the name. */
    public function possible(): Interval
    {
        return match ($this) {
            self::Displacement => new Interval(10.0, 2000.0, VolumeUnit::CubicCentimetre),
            self::Cylinders => new Interval(1.0, 2.0, CountUnit::Each),
            self::CompressionRatio => new Interval(3.0, 20.0, RatioUnit::ToOne),
            self::Oil => new Interval(50.0, 10_000.0, VolumeUnit::Millilitre),
            self::OilPerMillimetre => new Interval(0.1, 100.0, VolumeUnit::Millilitre),
            self::Tank => new Interval(50.0, 200_000.0, VolumeUnit::Millilitre),
            self::GovernedSpeed => new Interval(500.0, 15_000.0, SpeedUnit::Rpm),
            self::Blade => new Interval(50.0, 2500.0, LengthUnit::Millimetre),
            self::LashLeast, self::LashMost, self::ExhaustLashLeast, self::ExhaustLashMost, self::CoilGapLeast, self::CoilGapMost, self::PlugGapLeast, self::PlugGapMost => new Interval(0.01, 5.0, LengthUnit::Millimetre),
            self::CoilWinding => new Interval(0.0001, 1000.0, ResistanceUnit::Kilohm),
            self::PumpFlow => new Interval(0.2, 20.0, FlowUnit::GallonPerMinute),
            self::PumpPressure => new Interval(100.0, 10_000.0, PressureUnit::Psi),
            self::Poles => new Interval(2.0, 8.0, CountUnit::Each),
            self::RatedFrequency => new Interval(40.0, 70.0, FrequencyUnit::Hertz),
            self::MainJet, self::PilotJet => new Interval(0.1, 5.0, LengthUnit::Millimetre),
        };
    }
}
