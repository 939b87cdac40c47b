<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use AwakeShed\Core\Schedule\Openings;
use AwakeShed\Core\Schedule\WhyNot;

/**
 * The plan as it is looked at.
 *
 * @phpstan-import-type Odds from PlanVersion
 * @phpstan-import-type Change from PlanVersion
 * @phpstan-import-type Save from PlanVersion
 */
final readonly class PlanBoard
{
    private const DAY = 1440;

    /**
     * @param int                                                                                                                                 $version   its number
     * @param list<PlanItem>                                                                                                                      $items     in order of their start
     * @param list<array{job: PlannedJob, ready: \DateTimeImmutable, late: int, odds: Odds, likely: \DateTimeImmutable, hangsOn: list<PlanItem>}> $promises  the shakiest first
     * @param list<array{Save, string}>                                                                                                           $savings   with whose it is
     * @param list<array{PlanItem, \DateTimeImmutable, string, string}>                                                                           $changes   with when it was to begin, and whose hands before and now
     * @param list<array{job: PlannedJob, kind: string, reason: WhyNot}>                                                                          $unplanned
     * @param array<int, Hand>                                                                                                                    $people    by number
     * @param array<int, Openings>                                                                                                                $open      when each of them is there, in minutes of the plan
     */
    public function __construct(public int $version, public \DateTimeImmutable $madeAt, public array $items, public array $promises, public array $savings, public array $changes, public array $unplanned, public array $people, private array $open)
    {
    }

    /** @return list<Hand> who works here */
    public function atWork(): array
    {
        return array_values(array_filter($this->people, static fn (Hand $one): bool => $one->isActive));
    }

    /** @return list<PlanItem> what a person is to do, in order, what is under way first */
    public function of(int $member): array
    {
        $own = array_values(array_filter($this->items, static fn (PlanItem $item): bool => $item->hands?->id === $member));
        usort($own, static fn (PlanItem $one, PlanItem $other): int => [!$one->isUnderWay(), $one->from] <=> [!$other->isUnderWay(), $other->from]);

        return $own;
    }

    /** @return list<PlanItem> */
    public function onDay(\DateTimeImmutable $day): array
    {
        $midnight = $day->setTime(0, 0);
        $next = $midnight->modify('+1 day');

        return array_values(array_filter($this->items, static fn (PlanItem $item): bool => $item->start < $next && $item->end > $midnight));
    }

    /** @return array<int, list<PlanItem>> by the number of the person who is to do them */
    public function byHandsOn(\DateTimeImmutable $day): array
    {
        $items = [];
        foreach ($this->onDay($day) as $item) {
            if (null !== $item->hands) {
                $items[$item->hands->id][] = $item;
            }
        }

        return $items;
    }

    /** @return list<\DateTimeImmutable> days on which hands are at work, so many at most */
    public function days(int $most): array
    {
        $days = [];
        foreach ($this->items as $item) {
            if (!$item->isWait) {
                $days[$item->start->format('Y-m-d')] ??= $item->start->setTime(0, 0);
            }
        }
        ksort($days);

        return \array_slice(array_values($days), 0, $most);
    }

    /** @return list<array{int, int}> minutes of a day in which a piece is worked on: while its hands are there */
    public function worked(PlanItem $item, \DateTimeImmutable $midnight): array
    {
        $shift = Workplace::minutesBetween($item->start, $midnight) + $item->from;
        $open = Openings::of([[max($item->from, $shift), min($item->to, $shift + self::DAY)]]);
        if (null !== $item->hands && !$item->isUnderWay()) {
            $open = $open->and($this->open[$item->hands->id] ?? Openings::always());
        }

        return array_map(static fn (array $one): array => [$one[0] - $shift, $one[1] - $shift], $open->stretches ?? []);
    }
}
