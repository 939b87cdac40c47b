<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Unit;

use AwakeShed\App\Unit\Measure;
use AwakeShed\App\Unit\Quantities;
use AwakeShed\Core\Units\Duration;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Tests\App\ShedTestCase;
use PHPUnit\Framework\Attributes\DataProvider;

/** How many digits are written, and in which unit of time. */
final class QuantitiesTest extends ShedTestCase
{
    /** @return iterable<string, array{float, string}> seconds, as it is said */
    public static function times(): iterable
    {
        yield 'nothing' => [0, '0 s'];
        yield 'just under two minutes' => [119, '119 s'];
        yield 'two minutes' => [120, '2 min'];
        yield 'just under two hours' => [7199, '120 min'];
        yield 'two hours' => [7200, '2 h'];
        yield 'and a half' => [9000, '2.5 h'];
    }

    #[DataProvider('times')]
    public function testATimeIsSaidInTheUnitPeopleUse(float $seconds, string $said): void
    {
        self::assertSame($said, self::service(Quantities::class)->time(Duration::seconds($seconds)));
    }

    /** @return iterable<string, array{float, float, string}> mL, known give or take, as it is said */
    public static function known(): iterable
    {
        yield 'to the milliliter' => [123.456, 3, '123 mL'];
        yield 'a one has two digits' => [12.34, 1, '12.3 mL'];
        yield 'still a one' => [12.34, 1.99, '12.3 mL'];
        yield 'a two has one' => [12.34, 2, '12 mL'];
        yield 'tens' => [123.4, 30, '120 mL'];
        yield 'tens and a one' => [123.4, 10, '123 mL'];
        yield 'exactly' => [12.3, 0, '12.3 mL'];
    }

    #[DataProvider('known')]
    public function testNoDigitIsWrittenThatNobodyKnows(float $millilitres, float $giveOrTake, string $said): void
    {
        self::assertSame($said, self::service(Quantities::class)->show(Volume::millilitres($millilitres), Measure::JarVolume, halfWidth: Volume::millilitres($giveOrTake)));
    }
}
