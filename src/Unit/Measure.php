<?php

declare(strict_types=1);

namespace AwakeShed\App\Unit;

use AwakeShed\App\Reader\UnitSystem;
use AwakeShed\Core\Units\CalendarSpan;
use AwakeShed\Core\Units\Count;
use AwakeShed\Core\Units\CountUnit;
use AwakeShed\Core\Units\Duration;
use AwakeShed\Core\Units\DurationUnit;
use AwakeShed\Core\Units\FlowUnit;
use AwakeShed\Core\Units\Frequency;
use AwakeShed\Core\Units\FrequencyUnit;
use AwakeShed\Core\Units\KinematicViscosity;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\LengthUnit;
use AwakeShed\Core\Units\Money;
use AwakeShed\Core\Units\MoneyUnit;
use AwakeShed\Core\Units\MonthUnit;
use AwakeShed\Core\Units\Power;
use AwakeShed\Core\Units\PowerUnit;
use AwakeShed\Core\Units\Pressure;
use AwakeShed\Core\Units\PressureUnit;
use AwakeShed\Core\Units\Quantity;
use AwakeShed\Core\Units\Ratio;
use AwakeShed\Core\Units\RatioUnit;
use AwakeShed\Core\Units\Resistance;
use AwakeShed\Core\Units\ResistanceUnit;
use AwakeShed\Core\Units\ShaftSpeed;
use AwakeShed\Core\Units\Share;
use AwakeShed\Core\Units\ShareUnit;
use AwakeShed\Core\Units\SpeedUnit;
use AwakeShed\Core\Units\Temperature;
use AwakeShed\Core\Units\TemperatureUnit;
use AwakeShed\Core\Units\Unit;
use AwakeShed\Core\Units\ViscosityUnit;
use AwakeShed\Core\Units\Voltage;
use AwakeShed\Core\Units\VoltageUnit;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeFlow;
use AwakeShed\Core\Units\VolumeUnit;

/** What is being measured, which decides the unit a person of each habit expects and how finely it is shown. */
enum Measure: string
{
    /** In a jar or a graduated cylinder: its scale is in millilitres the world over. */
    case JarVolume = 'jar_volume';
    case WasteVolume = 'waste_volume';
    case CanVolume = 'can_volume';
    case OilVolume = 'oil_volume';
    case TankVolume = 'tank_volume';
    case Displacement = 'displacement';
    case JarHeight = 'jar_height';
    case BladeLength = 'blade_length';
    case AirTemperature = 'air_temperature';
    case Age = 'age';
    case CompressionRatio = 'compression_ratio';
    case GovernedSpeed = 'governed_speed';

    /** What runs out of, or into, a cylinder. */
    case CylinderVolume = 'cylinder_volume';
    case DropVolume = 'drop_volume';
    case DipstickVolume = 'dipstick_volume';
    case BucketVolume = 'bucket_volume';
    case DipstickHeight = 'dipstick_height';
    case DropSize = 'drop_size';
    case Bore = 'bore';
    case FeelerGap = 'feeler_gap';
    case Altitude = 'altitude';
    case GaugePressure = 'gauge_pressure';

    /** In a minute. */
    case PressureLoss = 'pressure_loss';
    case WorkingPressure = 'working_pressure';
    case Viscosity = 'viscosity';
    case FuelFlow = 'fuel_flow';
    case WaterFlow = 'water_flow';
    case DropRate = 'drop_rate';
    case OutletFrequency = 'outlet_frequency';
    case Share = 'share';
    case Winding = 'winding';
    case Stopwatch = 'stopwatch';
    case BenchTime = 'bench_time';
    case Labor = 'labor';
    case Voltage = 'voltage';
    case Load = 'load';
    case Pieces = 'pieces';
    case Price = 'price';

    /** What is reckoned with chances has no cents. */
    case ReckonedCost = 'reckoned_cost';

    public function unit(UnitSystem $system): Unit
    {
        $metric = UnitSystem::Metric === $system;
        $us = UnitSystem::Us === $system;

        return match ($this) {
            self::JarVolume => VolumeUnit::Millilitre,
            self::OilVolume, self::WasteVolume => $us ? VolumeUnit::FluidOunce : VolumeUnit::Millilitre,
            self::TankVolume, self::CanVolume => $metric ? VolumeUnit::Litre : VolumeUnit::Gallon,
            self::Displacement => VolumeUnit::CubicCentimetre,
            self::JarHeight => $us ? LengthUnit::Inch : LengthUnit::Millimetre,
            self::BladeLength => $metric ? LengthUnit::Millimetre : LengthUnit::Inch,
            self::AirTemperature => $metric ? TemperatureUnit::Celsius : TemperatureUnit::Fahrenheit,
            self::Age => MonthUnit::Month,
            self::CompressionRatio => RatioUnit::ToOne,
            self::GovernedSpeed => SpeedUnit::Rpm,
            self::CylinderVolume, self::DropVolume, self::DipstickVolume => VolumeUnit::Millilitre,
            self::BucketVolume => $metric ? VolumeUnit::Litre : VolumeUnit::Gallon,
            self::DipstickHeight => $us ? LengthUnit::Inch : LengthUnit::Millimetre,
            self::DropSize => LengthUnit::Micrometre,
            self::Bore => $us ? LengthUnit::Inch : LengthUnit::Millimetre,
            self::FeelerGap => $us ? LengthUnit::Thou : LengthUnit::Millimetre,
            self::Altitude => $metric ? LengthUnit::Metre : LengthUnit::Foot,
            self::GaugePressure, self::PressureLoss => $metric ? PressureUnit::Kilopascal : PressureUnit::Psi,
            self::WorkingPressure => $metric ? PressureUnit::Bar : PressureUnit::Psi,
            self::Viscosity => ViscosityUnit::Centistokes,
            self::FuelFlow => FlowUnit::MillilitrePerMinute,
            self::WaterFlow => $metric ? FlowUnit::LitrePerMinute : FlowUnit::GallonPerMinute,
            self::DropRate => FrequencyUnit::PerMinute,
            self::OutletFrequency => FrequencyUnit::Hertz,
            self::Share => ShareUnit::Percent,
            self::Winding => ResistanceUnit::Kilohm,
            self::Stopwatch => DurationUnit::Second,
            self::BenchTime => DurationUnit::Minute,
            self::Labor => DurationUnit::Hour,
            self::Voltage => VoltageUnit::Volt,
            self::Load => PowerUnit::Watt,
            self::Pieces => CountUnit::Each,
            self::Price, self::ReckonedCost => MoneyUnit::Dollar,
        };
    }

    /** @return class-string<Quantity> of what its readings are */
    public function quantity(): string
    {
        return match ($this) {
            self::JarVolume, self::WasteVolume, self::OilVolume, self::CanVolume, self::TankVolume, self::Displacement,
            self::CylinderVolume, self::DropVolume, self::DipstickVolume, self::BucketVolume => Volume::class,
            self::JarHeight, self::BladeLength, self::DipstickHeight, self::DropSize, self::Bore, self::FeelerGap, self::Altitude => Length::class,
            self::AirTemperature => Temperature::class,
            self::Age => CalendarSpan::class,
            self::CompressionRatio => Ratio::class,
            self::GovernedSpeed => ShaftSpeed::class,
            self::GaugePressure, self::PressureLoss, self::WorkingPressure => Pressure::class,
            self::Viscosity => KinematicViscosity::class,
            self::FuelFlow, self::WaterFlow => VolumeFlow::class,
            self::DropRate, self::OutletFrequency => Frequency::class,
            self::Share => Share::class,
            self::Winding => Resistance::class,
            self::Stopwatch, self::BenchTime, self::Labor => Duration::class,
            self::Voltage => Voltage::class,
            self::Load => Power::class,
            self::Pieces => Count::class,
            self::Price, self::ReckonedCost => Money::class,
        };
    }

    /** @return non-empty-list<Unit> that somebody may have meant by a bare number, no spoon for an engine or a tank; every other is read where it is typed */
    public function unitsMeant(): array
    {
        return match ($this) {
            self::Displacement => [VolumeUnit::CubicCentimetre, VolumeUnit::Litre, VolumeUnit::CubicInch],
            self::TankVolume, self::CanVolume, self::BucketVolume => [VolumeUnit::Millilitre, VolumeUnit::Litre, VolumeUnit::FluidOunce, VolumeUnit::Pint, VolumeUnit::Quart, VolumeUnit::Gallon],
            default => $this->quantity()::units(),
        };
    }

    /**
     * Millilitres become litres, and ounces quarts and gallons, where there are many.
     *
     * @return array{Unit, int} with the digits after the decimal sign
     */
    public function shownIn(UnitSystem $system, Quantity $quantity): array
    {
        $unit = $this->unit($system);
        $climbs = match (true) {
            self::JarVolume === $this => [],
            VolumeUnit::Millilitre === $unit => [[VolumeUnit::Litre, 2.0]],
            VolumeUnit::FluidOunce === $unit => [[VolumeUnit::Gallon, 1.0], [VolumeUnit::Quart, 1.0]],
            default => [],
        };
        foreach ($climbs as [$larger, $from]) {
            if (abs($quantity->in($larger)) >= $from) {
                return [$larger, VolumeUnit::Litre === $larger ? 2 : 1];
            }
        }

        return [$unit, $this->decimals($unit)];
    }

    /** Digits after the decimal sign that a reader can use. */
    public function decimals(Unit $unit): int
    {
        $isFine = \in_array($this, [self::Bore, self::DropVolume, self::FeelerGap], true);

        return match ($unit) {
            LengthUnit::Inch => $isFine ? 4 : 2,
            LengthUnit::Millimetre => $isFine ? 3 : 0,
            VolumeUnit::Millilitre => $isFine ? 3 : 1,
            PressureUnit::Psi => self::PressureLoss === $this ? 2 : 1,
            MoneyUnit::Dollar => self::Price === $this ? 2 : 0,
            VolumeUnit::Gallon, VolumeUnit::Litre, FlowUnit::GallonPerMinute, ResistanceUnit::Kilohm, VoltageUnit::Volt => 2,
            VolumeUnit::FluidOunce, RatioUnit::ToOne, MonthUnit::Month, LengthUnit::Thou, FlowUnit::LitrePerMinute, FlowUnit::MillilitrePerMinute,
            ViscosityUnit::Centistokes, FrequencyUnit::Hertz, FrequencyUnit::PerMinute, ShareUnit::Percent, DurationUnit::Hour => 1,
            default => 0,
        };
    }
}
