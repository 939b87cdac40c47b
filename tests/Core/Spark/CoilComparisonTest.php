<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Spark;

use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Spark\CoilComparison;
use AwakeShed\Core\Spark\CoilVerdict;
use AwakeShed\Core\Spark\Steadiness;
use AwakeShed\Core\Units\Resistance;
use AwakeShed\Core\Units\ResistanceUnit;
use AwakeShed\Tests\Core\Refuses;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class CoilComparisonTest extends TestCase
{
    use Refuses;

    /** @return iterable<string, array{float|null, Steadiness, CoilVerdict}> kilohms against a good one of 4 */
    public static function coils(): iterable
    {
        yield 'the same' => [4.0, Steadiness::Steady, CoilVerdict::LikeKnownGood];
        yield 'fifteen per cent is still like it' => [4.6, Steadiness::Steady, CoilVerdict::LikeKnownGood];
        yield 'sixteen is off' => [4.64, Steadiness::Steady, CoilVerdict::Off];
        yield 'as far the other way' => [3.36, Steadiness::Steady, CoilVerdict::Off];
        yield 'shorted' => [0.0, Steadiness::Steady, CoilVerdict::Off];
        yield 'open' => [null, Steadiness::Steady, CoilVerdict::Open];
        yield 'wandering, wherever it stands' => [4.0, Steadiness::Wanders, CoilVerdict::Erratic];
    }

    /** With a meter good to a hundredth a reading of 4.6 against 4 may be within or beyond; nothing and a wandering needle are at no limit. */
    public function testWhereTheMeterCannotTellItSaysSo(): void
    {
        $isAtTheLimit = static fn (?float $kilohms, Steadiness $reading = Steadiness::Steady): bool => CoilComparison::against(Resistance::of(4, ResistanceUnit::Kilohm), null === $kilohms ? null : Resistance::of($kilohms, ResistanceUnit::Kilohm), $reading, 0.01)->isAtTheLimit();

        self::assertSame([true, true, false, false, false, false], [$isAtTheLimit(4.6), $isAtTheLimit(3.4), $isAtTheLimit(4.2), $isAtTheLimit(5.2), $isAtTheLimit(null), $isAtTheLimit(4.6, Steadiness::Wanders)]);
    }

    #[DataProvider('coils')]
    public function testIsSuspectBeyondFifteenPerCent(?float $kilohms, Steadiness $reading, CoilVerdict $verdict): void
    {
        $compared = CoilComparison::against(Resistance::of(4, ResistanceUnit::Kilohm), null === $kilohms ? null : Resistance::of($kilohms, ResistanceUnit::Kilohm), $reading);
        self::assertSame($verdict, $compared->verdict());
        self::assertContains($verdict->value, Vocabulary::shipped()->test('spark.coil_ohms')->outcomes ?? []);
    }

    public function testRefusesAGoodCoilOfNoResistance(): void
    {
        self::assertRefused(
            static fn () => CoilComparison::against(Resistance::of(0, ResistanceUnit::Ohm), null),
            static fn () => CoilComparison::against(Resistance::of(4, ResistanceUnit::Kilohm), Resistance::of(-1, ResistanceUnit::Ohm)),
        );
    }
}
