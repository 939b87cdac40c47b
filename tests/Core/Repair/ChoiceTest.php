<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Repair;

use AwakeShed\Core\Repair\Beta;
use AwakeShed\Core\Repair\Choice;
use AwakeShed\Core\Repair\Contamination;
use AwakeShed\Core\Repair\Way;
use AwakeShed\Core\Repair\WayCost;
use AwakeShed\Core\Repair\WayOdds;
use AwakeShed\Core\Units\Duration;
use AwakeShed\Core\Units\DurationUnit;
use AwakeShed\Core\Units\Money;
use AwakeShed\Tests\Core\Refuses;
use AwakeShed\Tests\Seeded;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class ChoiceTest extends TestCase
{
    use Refuses;

    /** What is in the bowl says what cleaning is worth, and a kit; common practice, wide. */
    #[TestWith(['film', 0.85, 0.4]), TestWith(['sediment', 0.75, 0.4]), TestWith(['jelly', 0.6, 0.4]), TestWith(['corroded', 0.25, 0.4]), TestWith(['pitted', 0.05, 0.05])]
    public function testTheDirtierTheLessCleaningIsWorth(string $contamination, float $cleaning, float $kit): void
    {
        self::assertSame([$cleaning, $kit], [Contamination::from($contamination)->cleaningMean(), Contamination::from($contamination)->kitMean()]);
    }

    public function testNothingIsLessLikelyThanNeverOrMoreThanAlways(): void
    {
        self::assertSame([0.0, 0.0, 1.0, 1.0], array_map(Beta::shaped(3, 2)->cumulative(...), [-0.5, 0.0, 1.0, 1.5]));
    }

    /** Where replacing costs nothing, nor that it comes back: what costs nothing is always worth a try, what costs something never. */
    public function testWhereFallingBackCostsNothing(): void
    {
        $way = static fn (Way $way, float $parts): WayOdds => new WayOdds($way, Money::dollars($parts), Duration::of(0, DurationUnit::Hour), Beta::worth(0.8, 8));
        $choice = Choice::between([$way(Way::Clean, 0), $way(Way::Kit, 12), $way(Way::Replace, 0)], Money::dollars(60), Money::dollars(0));
        self::assertSame([0.0, 2.0], [$choice->breakEven($way(Way::Clean, 0)), $choice->breakEven($way(Way::Kit, 12))]);
    }

    public function testNoShareIsMoreThanAll(): void
    {
        foreach ([[1.0, 1.0], [2.0, 5.0], [0.5, 0.5], [40.0, 1.0]] as [$a, $b]) {
            self::assertGreaterThan(0.99, Beta::shaped($a, $b)->quantile(1.0));
            self::assertLessThanOrEqual(1.0, Beta::shaped($a, $b)->quantile(1.0));
        }
    }

    /**
     * By hand, at 60 $ an hour and 40 $ a comeback: replacing costs 45 + 30 = 75 a try and works 19 times in 20, so
     * (75 + 0.05·40)/0.95 = 81.05 on the average. A kit costs 12 + 60 = 72 and works 2 times in 5:
     * 72 + 0.6·(81.05 + 40) = 144.63. Cleaning costs 3 + 45 = 48 and works 4 times in 5: 48 + 0.2·121.05 = 72.21.
     */
    public function testExpectedCostsWorkedByHand(): void
    {
        $choice = self::choice(cleaning: Beta::shaped(800, 200), kit: Beta::shaped(400, 600), replacing: Beta::shaped(950, 50));
        $cost = static fn (Way $way): float => array_values(array_filter($choice->ways, static fn (WayCost $one): bool => $one->way->way === $way))[0]->expected->inDollars();
        self::assertEqualsWithDelta(81.05, $cost(Way::Replace), 0.01);
        self::assertEqualsWithDelta(144.63, $cost(Way::Kit), 0.01);
        self::assertEqualsWithDelta(72.21, $cost(Way::Clean), 0.01);
        self::assertSame(Way::Clean, $choice->cheapest()->way->way);
        self::assertFalse($choice->isTossUp(), 'a thousand jobs tell');
        // Cleaning pays from where 48 + (1 − p)·121.05 = 81.05: p = 0.727; a kit from p = 0.925.
        foreach ($choice->ways as $one) {
            if (Way::Clean === $one->way->way) {
                self::assertEqualsWithDelta(0.727, $choice->breakEven($one->way), 0.001);
            }
            if (Way::Kit === $one->way->way) {
                self::assertEqualsWithDelta(0.925, $choice->breakEven($one->way), 0.001);
            }
        }
    }

    public function testLittleKnowledgeIsATossUpAndMuchIsNot(): void
    {
        $known = static fn (int $jobs): Choice => self::choice(cleaning: Beta::worth(0.75, 8)->seen((int) (0.8 * $jobs), (int) (0.2 * $jobs)), kit: Beta::worth(0.4, 8), replacing: Beta::worth(0.95, 8)->seen((int) (0.95 * $jobs), (int) (0.05 * $jobs)));
        self::assertTrue($known(0)->isTossUp());
        self::assertFalse($known(1000)->isTossUp());
        // Of one way much is known, and of the other so little that it may well be the cheaper: 48 $ and up to 81.05 + 40 more.
        self::assertTrue(self::choice(cleaning: Beta::worth(0.7, 4), kit: Beta::worth(0.4, 8), replacing: Beta::shaped(950, 50))->isTossUp());
        self::assertFalse(self::choice(cleaning: Beta::shaped(700, 300), kit: Beta::worth(0.4, 8), replacing: Beta::shaped(950, 50))->isTossUp());
        // Two ways can be as near to one another as three; one is near to nothing.
        $replacing = new WayOdds(Way::Replace, Money::dollars(45), Duration::of(0.5, DurationUnit::Hour), Beta::worth(0.95, 8));
        $cleaning = new WayOdds(Way::Clean, Money::dollars(3), Duration::of(0.75, DurationUnit::Hour), Beta::worth(0.75, 8));
        self::assertTrue(Choice::between([$cleaning, $replacing], Money::dollars(60), Money::dollars(40))->isTossUp());
        self::assertFalse(Choice::between([$replacing], Money::dollars(60), Money::dollars(40))->isTossUp());
    }

    public function testTheMachinesWorthIsTheCeiling(): void
    {
        $choice = self::choice(Beta::shaped(800, 200), Beta::shaped(400, 600), Beta::shaped(950, 50));
        self::assertTrue($choice->isWorthIt(Money::dollars(80)));
        self::assertFalse($choice->isWorthIt(Money::dollars(70)));
    }

    public function testBetterOddsNeverCostMoreAndTheMeanLiesWithinItsInterval(): void
    {
        $random = new Seeded(8);
        for ($case = 0; $case < 60; ++$case) {
            [$a, $b] = [$random->float(1, 40), $random->float(1, 40)];
            $cost = static fn (float $more): WayCost => array_values(array_filter(
                self::choice(Beta::shaped($a + $more, $b), Beta::shaped(4, 6), Beta::shaped(19, 1))->ways,
                static fn (WayCost $one): bool => Way::Clean === $one->way->way,
            ))[0];
            self::assertLessThan($cost(0)->expected->inDollars(), $cost(5)->expected->inDollars());
            self::assertLessThan($cost(0)->expected->inDollars(), $cost(0)->least->inDollars());
            self::assertGreaterThan($cost(0)->expected->inDollars(), $cost(0)->most->inDollars());
        }
    }

    public function testTheShopsJobsMoveTheRuleOfThumb(): void
    {
        $rule = Beta::worth(0.4, 8);
        self::assertEqualsWithDelta(0.4, $rule->mean(), 1e-12);
        // 3.2 and 4.8 jobs' worth, then 12 that worked and none that did not: 15.2 of 20.
        self::assertEqualsWithDelta(0.76, $rule->seen(12, 0)->mean(), 1e-12);
        self::assertLessThan($rule->quantile(0.9) - $rule->quantile(0.1), $rule->seen(6, 9)->quantile(0.9) - $rule->seen(6, 9)->quantile(0.1), 'more jobs, less doubt');
    }

    public function testRefusesNonsense(): void
    {
        self::assertRefused(
            static fn () => Beta::shaped(0, 1),
            static fn () => Beta::worth(1.2, 8),
            static fn () => Beta::shaped(1, 1)->seen(-1, 0),
            static fn () => Beta::shaped(1, 1)->quantile(2),
            static fn () => self::choice(Beta::shaped(1, 1), Beta::shaped(1, 1), Beta::shaped(1, 1), wage: -5),
        );
    }

    private static function choice(Beta $cleaning, Beta $kit, Beta $replacing, float $wage = 60): Choice
    {
        $way = static fn (Way $way, float $parts, float $hours, Beta $odds): WayOdds => new WayOdds($way, Money::dollars($parts), Duration::of($hours, DurationUnit::Hour), $odds);

        return Choice::between([
            $way(Way::Clean, 3, 0.75, $cleaning),
            $way(Way::Kit, 12, 1, $kit),
            $way(Way::Replace, 45, 0.5, $replacing),
        ], Money::dollars($wage), Money::dollars(40));
    }
}
