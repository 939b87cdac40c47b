<?php

declare(strict_types=1);

namespace AwakeShed\App\Show;

use AwakeShed\App\Account\UnitSystem;
use AwakeShed\Core\Units\LengthUnit;
use AwakeShed\Core\Units\MonthUnit;
use AwakeShed\Core\Units\RatioUnit;
use AwakeShed\Core\Units\SpeedUnit;
use AwakeShed\Core\Units\TemperatureUnit;
use AwakeShed\Core\Units\Unit;
use AwakeShed\Core\Units\VolumeUnit;

/** What is being measured, which decides the unit a person of each habit expects and how finely it is shown. */
enum Measure: string
{
    /** In a jar or a graduated cylinder: its scale is in millilitres the world over. */
    case JarVolume = 'jar_volume';
    case WasteVolume = 'waste_volume';
    case OilVolume = 'oil_volume';
    case TankVolume = 'tank_volume';
    case Displacement = 'displacement';
    case JarHeight = 'jar_height';
    case BladeLength = 'blade_length';
    case AirTemperature = 'air_temperature';
    case Age = 'age';
    case CompressionRatio = 'compression_ratio';
    case GovernedSpeed = 'governed_speed';

    public function unit(UnitSystem $system): Unit
    {
        $metric = UnitSystem::Metric === $system;
        $us = UnitSystem::Us === $system;

        return match ($this) {
            self::JarVolume => VolumeUnit::Millilitre,
            self::OilVolume, self::WasteVolume => $us ? VolumeUnit::FluidOunce : VolumeUnit::Millilitre,
            self::TankVolume => $metric ? VolumeUnit::Litre : VolumeUnit::Gallon,
            self::Displacement => VolumeUnit::CubicCentimetre,
            self::JarHeight => $us ? LengthUnit::Inch : LengthUnit::Millimetre,
            self::BladeLength => $metric ? LengthUnit::Millimetre : LengthUnit::Inch,
            self::AirTemperature => $metric ? TemperatureUnit::Celsius : TemperatureUnit::Fahrenheit,
            self::Age => MonthUnit::Month,
            self::CompressionRatio => RatioUnit::ToOne,
            self::GovernedSpeed => SpeedUnit::Rpm,
        };
    }

    /** Digits after the decimal sign that a reader can use. */
    public function decimals(Unit $unit): int
    {
        return match ($unit) {
            VolumeUnit::Gallon, LengthUnit::Inch, VolumeUnit::Litre => 2,
            VolumeUnit::FluidOunce, VolumeUnit::Millilitre, RatioUnit::ToOne, MonthUnit::Month => 1,
            default => 0,
        };
    }
}
