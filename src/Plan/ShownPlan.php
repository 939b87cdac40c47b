<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

/**
 * The last plan as pages show it: off its row, without the problem that was planned, which is most of it.
 *
 * @phpstan-import-type Odds from PlanVersion
 * @phpstan-import-type Change from PlanVersion
 * @phpstan-import-type Save from PlanVersion
 *
 * @phpstan-type Laid array{operations: list<array{id: string, start: int, end: int, uses: list<string>}>, jobs: list<array{id: string, ends: int|null, late: int|null}>, unplanned: list<array{id: string, reason: string}>}
 */
final readonly class ShownPlan
{
    /**
     * @param \DateTimeImmutable                                    $beginsAt  minute nought, in the shop's time
     * @param Laid                                                  $plan      in the open plan format
     * @param array<string, Odds>                                   $odds      by job
     * @param list<Save>                                            $savings
     * @param list<Change>                                          $changes   against the version before; minutes from this one's beginning
     * @param list<array{id: string, open?: list<array{int, int}>}> $resources of the problem: who is there, and when
     */
    public function __construct(public int $id, public \DateTimeImmutable $beginsAt, public array $plan, public array $odds, public array $savings, public array $changes, public array $resources, public \DateTimeImmutable $madeAt)
    {
    }
}
