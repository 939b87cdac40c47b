<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Units;

use AwakeShed\Core\Units\TypedAmount;
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
        yield 'one comma is a decimal sign' => ['1,250', 1.25, VolumeUnit::Millilitre];
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
        yield 'an exponent' => ['1e5', 'amount.not_a_number'];
        yield 'a fraction' => ['5 5/8', 'amount.not_a_number'];
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
}
