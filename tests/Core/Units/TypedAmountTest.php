<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Units;

use AwakeShed\Core\Units\AmbiguousAmount;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\LengthUnit;
use AwakeShed\Core\Units\PressureUnit;
use AwakeShed\Core\Units\SpeedUnit;
use AwakeShed\Core\Units\TypedAmount;
use AwakeShed\Core\Units\Unit;
use AwakeShed\Core\Units\UnreadableAmount;
use AwakeShed\Core\Units\VolumeUnit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class TypedAmountTest extends TestCase
{
    /** @return iterable<string, array{string, float, VolumeUnit}> */
    public static function readable(): iterable
    {
        yield 'a bare number is in the unit offered' => ['12', 12.0, VolumeUnit::Millilitre];
        yield 'decimal comma' => ['12,5', 12.5, VolumeUnit::Millilitre];
        yield 'decimal point' => ['12.5', 12.5, VolumeUnit::Millilitre];
        yield 'German thousands' => ['1.250,5', 1250.5, VolumeUnit::Millilitre];
        yield 'American thousands' => ['1,250.5', 1250.5, VolumeUnit::Millilitre];
        yield 'spaced thousands' => ['1 250.5 mL', 1250.5, VolumeUnit::Millilitre];
        yield 'points only, more than one' => ['1.250.000', 1250000.0, VolumeUnit::Millilitre];
        yield 'a nought before the sign' => ['0,250', 0.25, VolumeUnit::Millilitre];
        yield 'four digits before the sign' => ['1250.500', 1250.5, VolumeUnit::Millilitre];
        yield 'a fraction' => ['1/2 cup', 0.5, VolumeUnit::Cup];
        yield 'a number and a fraction' => ['5 5/8', 5.625, VolumeUnit::Millilitre];
        yield 'a printed fraction' => ['1½ qt', 1.5, VolumeUnit::Quart];
        yield 'a unit with a digit in it' => ['12 cm3', 12.0, VolumeUnit::CubicCentimetre];
        yield 'spelled out' => ['2 quarts', 2.0, VolumeUnit::Quart];
        yield 'nothing before the sign' => ['.5', 0.5, VolumeUnit::Millilitre];
        yield 'nothing behind the sign' => ['5.', 5.0, VolumeUnit::Millilitre];
        yield 'another unit' => ['3 fl. oz', 3.0, VolumeUnit::FluidOunce];
        yield 'another unit, no space, capitals' => ['0,5L', 0.5, VolumeUnit::Litre];
        yield 'a typographic minus' => ['−4', -4.0, VolumeUnit::Millilitre];
        yield 'non-breaking space' => ["1\u{00A0}200", 1200.0, VolumeUnit::Millilitre];
    }

    #[DataProvider('readable')]
    public function testReadsWhatPeopleType(string $text, float $amount, VolumeUnit $unit): void
    {
        $typed = TypedAmount::parse($text, VolumeUnit::Millilitre, VolumeUnit::cases());
        self::assertSame($amount, $typed->amount);
        self::assertSame($unit, $typed->unit);
    }

    /** @return iterable<string, array{string, string}> */
    public static function unreadable(): iterable
    {
        yield 'a word' => ['a lot', 'amount.not_a_number'];
        yield 'an exponent' => ['1e5', 'amount.unknown_unit'];
        yield 'a fraction of nothing' => ['5/0', 'amount.not_a_number'];
        yield 'a half fraction' => ['5/', 'amount.unknown_unit'];
        yield 'signs run wild' => ['1,2,3.4.5', 'amount.not_a_number'];
        yield 'two signs' => ['--4', 'amount.not_a_number'];
        yield 'a novel' => [str_repeat('9', 400), 'amount.not_a_number'];
        yield 'markup' => ['12 <script>', 'amount.unknown_unit'];
        yield 'a unit of another dimension' => ['12 psi', 'amount.unknown_unit'];
    }

    #[DataProvider('unreadable')]
    public function testRefusesTheRestByName(string $text, string $reason): void
    {
        try {
            TypedAmount::parse($text, VolumeUnit::Millilitre, VolumeUnit::cases());
            self::fail('It was read.');
        } catch (UnreadableAmount $refusal) {
            self::assertSame($reason, $refusal->reason());
        }
    }

    /** @return iterable<string, array{string, Unit, Interval, list<string>}> what is typed, the field's unit, what is possible there, and what is asked */
    public static function twoNumbers(): iterable
    {
        yield 'a speed' => ['3,600', SpeedUnit::Rpm, new Interval(1, 20_000, SpeedUnit::Rpm), ['3600', '3.6']];
        yield 'a height' => ['5,280 ft', LengthUnit::Metre, new Interval(-500, 5_000, LengthUnit::Metre), ['5280 ft', '5.28 ft']];
        yield 'fuel' => ['15,000 mL', VolumeUnit::Litre, new Interval(0.001, 500, VolumeUnit::Litre), ['15000 mL', '15 mL']];
        yield 'a point' => ['1.250', VolumeUnit::Millilitre, new Interval(0, 5_000, VolumeUnit::Millilitre), ['1250', '1.25']];
        yield 'a fraction that is written longer' => ['1,255', VolumeUnit::Millilitre, new Interval(0, 5_000, VolumeUnit::Millilitre), ['1255', '1.2550']];
    }

    /** @param list<string> $readings */
    #[DataProvider('twoNumbers')]
    public function testAsksBackWhatMayBeTwoNumbers(string $text, Unit $unit, Interval $possible, array $readings): void
    {
        try {
            TypedAmount::parse($text, $unit, self::family($unit), $possible);
            self::fail('It was read.');
        } catch (AmbiguousAmount $asked) {
            self::assertSame($text, $asked->typed());
            self::assertSame($readings, $asked->readings());
            // What is offered is not asked back again.
            [$thousands, $fraction] = array_map(static fn (string $reading): float => TypedAmount::parse($reading, $unit, self::family($unit), $possible)->amount, $readings);
            self::assertEqualsWithDelta($thousands, 1000 * $fraction, 1e-9);
        }
    }

    /** @return iterable<string, array{string, Interval, float}> */
    public static function onePossible(): iterable
    {
        yield 'no engine turns so slowly' => ['3,600', new Interval(200, 20_000, SpeedUnit::Rpm), 3600.0];
        yield 'nor so fast' => ['3.600', new Interval(1, 1_000, SpeedUnit::Rpm), 3.6];
        yield 'neither: as it stands, to be refused' => ['3,600', new Interval(10, 1_000, SpeedUnit::Rpm), 3.6];
    }

    #[DataProvider('onePossible')]
    public function testReadsWhatIsPossibleHere(string $text, Interval $possible, float $amount): void
    {
        self::assertSame($amount, TypedAmount::parse($text, SpeedUnit::Rpm, SpeedUnit::cases(), $possible)->amount);
    }

    /** @return iterable<string, array{string, Unit, Interval, string}> what is typed, the field's unit, the usual, and what is among the questions */
    public static function otherwise(): iterable
    {
        yield 'kilopascals in a field of psi' => ['620', PressureUnit::Psi, new Interval(40, 150, PressureUnit::Psi), '620 kPa'];
        yield 'a gap in millimetres in a field of inches' => ['0.080', LengthUnit::Inch, new Interval(0.05, 0.25, LengthUnit::Millimetre), '0.08 mm'];
        yield 'a plug gap a place off' => ['0.080 in', LengthUnit::Millimetre, new Interval(0.5, 1.1, LengthUnit::Millimetre), '0.8 mm'];
        yield 'inches in a field of millimetres' => ['.006', LengthUnit::Millimetre, new Interval(0.05, 0.25, LengthUnit::Millimetre), '0.006 in'];
        yield 'ounces for millilitres' => ['20', VolumeUnit::Millilitre, new Interval(300, 1_500, VolumeUnit::Millilitre), '20 fl oz'];
    }

    #[DataProvider('otherwise')]
    public function testSaysWhatElseMayBeMeant(string $text, Unit $unit, Interval $usual, string $expected): void
    {
        self::assertContains($expected, TypedAmount::parse($text, $unit, self::family($unit))->otherReadings($usual, self::family($unit)));
    }

    /** @return iterable<string, array{string, Unit, Interval, list<string>}> what is typed, the field's unit, the usual, and all that is asked */
    public static function meantOnce(): iterable
    {
        $engine = new Interval(20, 1_000, VolumeUnit::CubicCentimetre);
        yield 'a sign a place off, as it was typed' => ['1,250.0', VolumeUnit::CubicCentimetre, $engine, ['125 cm³', '125 tsp']];
        yield 'as it was typed, whatever the field says' => ['1,250.0 mL', VolumeUnit::CubicCentimetre, $engine, ['125 mL', '125 tsp']];
        yield 'three of many' => ['0.9', VolumeUnit::CubicCentimetre, $engine, ['0.9 L', '0.9 fl oz', '0.9 cup']];
        yield 'a sign of thousands is no place off' => ['1,250,000', VolumeUnit::CubicCentimetre, new Interval(20, 200_000, VolumeUnit::CubicCentimetre), []];
        yield 'one of a number below ten may be' => ['9.0', VolumeUnit::CubicCentimetre, $engine, ['9 tsp', '9 tbsp', '9 fl oz']];
    }

    /** @param list<string> $expected */
    #[DataProvider('meantOnce')]
    public function testAsksWhetherOneThingIsMeantOnce(string $text, Unit $unit, Interval $usual, array $expected): void
    {
        self::assertSame($expected, TypedAmount::parse($text, $unit, self::family($unit))->otherReadings($usual, self::family($unit)));
    }

    /** @return non-empty-list<Unit> */
    private static function family(Unit $unit): array
    {
        $units = $unit::cases();
        self::assertNotEmpty($units);

        return $units;
    }
}
