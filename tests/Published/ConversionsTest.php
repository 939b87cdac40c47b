<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Published;

use AwakeShed\Core\Units\Duration;
use AwakeShed\Core\Units\DurationUnit;
use AwakeShed\Core\Units\FlowUnit;
use AwakeShed\Core\Units\Frequency;
use AwakeShed\Core\Units\FrequencyUnit;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\LengthUnit;
use AwakeShed\Core\Units\Power;
use AwakeShed\Core\Units\PowerUnit;
use AwakeShed\Core\Units\Pressure;
use AwakeShed\Core\Units\PressureUnit;
use AwakeShed\Core\Units\Quantity;
use AwakeShed\Core\Units\Resistance;
use AwakeShed\Core\Units\ResistanceUnit;
use AwakeShed\Core\Units\ShaftSpeed;
use AwakeShed\Core\Units\SpeedUnit;
use AwakeShed\Core\Units\Temperature;
use AwakeShed\Core\Units\TemperatureUnit;
use AwakeShed\Core\Units\Unit;
use AwakeShed\Core\Units\Voltage;
use AwakeShed\Core\Units\VoltageUnit;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeFlow;
use AwakeShed\Core\Units\VolumeUnit;
use AwakeShed\Tests\NeedsProgram;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The factors against NIST SP 811, appendix B.8 (published), and against GNU units, a program of somebody else's. */
final class ConversionsTest extends TestCase
{
    use NeedsProgram;

    /** @return iterable<string, array{VolumeUnit, float}> millilitres to the digits NIST prints */
    public static function kitchen(): iterable
    {
        yield 'teaspoon' => [VolumeUnit::Teaspoon, 4.928922];
        yield 'tablespoon' => [VolumeUnit::Tablespoon, 14.78676];
        yield 'fluid ounce' => [VolumeUnit::FluidOunce, 29.57353];
        yield 'cubic inch' => [VolumeUnit::CubicInch, 16.38706];
        yield 'cup' => [VolumeUnit::Cup, 236.5882];
        yield 'pint' => [VolumeUnit::Pint, 473.1765];
        yield 'quart' => [VolumeUnit::Quart, 946.3529];
        yield 'gallon' => [VolumeUnit::Gallon, 3785.412];
    }

    #[DataProvider('kitchen')]
    public function testKitchenMeasuresAreNists(VolumeUnit $unit, float $millilitres): void
    {
        self::assertEqualsWithDelta($millilitres, Volume::of(1, $unit)->inMillilitres(), 1e-6 * $millilitres);
    }

    /** @return iterable<string, array{PressureUnit, float}> pascals to the digits NIST prints */
    public static function pressures(): iterable
    {
        yield 'psi' => [PressureUnit::Psi, 6894.757];
        yield 'bar' => [PressureUnit::Bar, 1.0e5];
        yield 'millibar' => [PressureUnit::Millibar, 100.0];
        yield 'kilogram-force a square centimetre' => [PressureUnit::KilogramForcePerSquareCentimetre, 9.80665e4];
        yield 'inch of mercury, conventional' => [PressureUnit::InchOfMercury, 3.386389e3];
    }

    #[DataProvider('pressures')]
    public function testPressuresAreNists(PressureUnit $unit, float $pascals): void
    {
        self::assertEqualsWithDelta($pascals, Pressure::of(1, $unit)->in(PressureUnit::Pascal), 1e-7 * $pascals);
    }

    /** @return iterable<string, array{class-string<Quantity>, Unit, Unit, string, string}> */
    public static function pairs(): iterable
    {
        $names = [
            Volume::class => [
                'ml' => VolumeUnit::Millilitre, 'cm^3' => VolumeUnit::CubicCentimetre, 'l' => VolumeUnit::Litre, 'usteaspoon' => VolumeUnit::Teaspoon,
                'ustablespoon' => VolumeUnit::Tablespoon, 'usfloz' => VolumeUnit::FluidOunce, 'in^3' => VolumeUnit::CubicInch, 'uscup' => VolumeUnit::Cup, 'uspint' => VolumeUnit::Pint, 'usquart' => VolumeUnit::Quart, 'usgallon' => VolumeUnit::Gallon,
            ],
            Length::class => ['um' => LengthUnit::Micrometre, 'mm' => LengthUnit::Millimetre, 'cm' => LengthUnit::Centimetre, 'inch' => LengthUnit::Inch, 'mil' => LengthUnit::Thou, 'm' => LengthUnit::Metre, 'ft' => LengthUnit::Foot],
            Duration::class => ['s' => DurationUnit::Second, 'min' => DurationUnit::Minute, 'hour' => DurationUnit::Hour],
            ShaftSpeed::class => ['rpm' => SpeedUnit::Rpm],
            Pressure::class => ['psi' => PressureUnit::Psi, 'kPa' => PressureUnit::Kilopascal, 'bar' => PressureUnit::Bar, 'mbar' => PressureUnit::Millibar, 'Pa' => PressureUnit::Pascal, 'kgf/cm^2' => PressureUnit::KilogramForcePerSquareCentimetre],
            VolumeFlow::class => ['ml/min' => FlowUnit::MillilitrePerMinute, 'l/min' => FlowUnit::LitrePerMinute, 'usgallon/min' => FlowUnit::GallonPerMinute],
            Frequency::class => ['Hz' => FrequencyUnit::Hertz, '/min' => FrequencyUnit::PerMinute],
            Voltage::class => ['V' => VoltageUnit::Volt, 'mV' => VoltageUnit::Millivolt],
            Power::class => ['W' => PowerUnit::Watt, 'kW' => PowerUnit::Kilowatt],
            Resistance::class => ['ohm' => ResistanceUnit::Ohm, 'kohm' => ResistanceUnit::Kilohm],
        ];
        foreach ($names as $dimension => $units) {
            foreach ($units as $fromName => $from) {
                foreach ($units as $toName => $to) {
                    yield "$fromName to $toName" => [$dimension, $from, $to, $fromName, $toName];
                }
            }
        }
    }

    /** @param class-string<Quantity> $dimension */
    #[DataProvider('pairs')]
    public function testAgreesWithGnuUnits(string $dimension, Unit $from, Unit $to, string $fromName, string $toName): void
    {
        $expected = self::gnuUnits('7.25 '.$fromName, $toName);
        self::assertEqualsWithDelta($expected, $dimension::of(7.25, $from)->in($to), 1e-9 * abs($expected));
    }

    public function testTemperaturesAgreeWithGnuUnits(): void
    {
        foreach ([-40, -12, 0, 60, 104, 212] as $fahrenheit) {
            $expected = self::gnuUnits("tempF($fahrenheit)", 'tempC');
            self::assertEqualsWithDelta($expected, Temperature::of($fahrenheit, TemperatureUnit::Fahrenheit)->inCelsius(), 1e-9);
        }
    }

    private static function gnuUnits(string $have, string $want): float
    {
        self::needs('units', 'units');
        exec('units --terse --digits 15 '.escapeshellarg($have).' '.escapeshellarg($want), $lines, $status);
        self::assertSame(0, $status, 'GNU units is needed: Debian package "units".');

        return (float) $lines[0];
    }
}
