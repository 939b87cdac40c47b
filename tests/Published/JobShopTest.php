<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Published;

use AwakeShed\Core\Schedule\Checker;
use AwakeShed\Core\Schedule\Planner;
use AwakeShed\Tests\Core\Schedule\Problems;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The planner on job shops whose shortest plan is known from the literature. */
final class JobShopTest extends TestCase
{
    /** @return iterable<string, array{string, int, int, float}> name, shortest makespan, budget, how far from it at most */
    public static function shops(): iterable
    {
        yield 'FT06' => ['ft06', 55, 200, 0.0];
        yield 'LA01' => ['la01', 666, 2000, 0.0];
        yield 'FT10' => ['ft10', 930, 2000, 0.05];
        foreach (['la02' => 655, 'la03' => 597, 'la04' => 590, 'la05' => 593, 'la06' => 926, 'la16' => 945, 'la17' => 784, 'la18' => 848, 'la21' => 1046, 'abz5' => 1234] as $name => $shortest) {
            yield strtoupper($name) => [$name, $shortest, 1000, 0.05];
        }
    }

    #[DataProvider('shops')]
    public function testComesAsNearAsItMust(string $name, int $shortest, int $budget, float $within): void
    {
        [$problem, $published] = Problems::jobShop($name);
        self::assertSame($shortest, $published);

        $plan = Planner::plan($problem->with(budget: $budget));

        self::assertSame([], Checker::faults($plan));
        self::assertSame([], $plan->unplanned);
        self::assertGreaterThanOrEqual($shortest, $plan->makespan(), 'shorter than what is known to be shortest');
        self::assertLessThanOrEqual((int) floor($shortest * (1 + $within)), $plan->makespan());
        self::assertLessThanOrEqual($shortest, $plan->lowerBound, 'the bound lies above a plan that exists');
    }
}
