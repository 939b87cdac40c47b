<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use AwakeShed\Core\Schedule\Day\PieceKinds;
use AwakeShed\Core\Schedule\Openings;
use AwakeShed\Core\Schedule\WhyNot;

/** Lays a plan out to be looked at: its numbers with the machines, people and hours they stand for. */
final readonly class PlanBoards
{
    public function __construct(private Plans $plans, private PlannedJobs $jobs, private Shown $beside, private PieceKinds $kinds)
    {
    }

    /** @return PlanBoard|null null where nobody has made a plan yet */
    public function last(): ?PlanBoard
    {
        $shown = $this->plans->shown();

        return null === $shown ? null : $this->of($shown);
    }

    private function of(ShownPlan $shown): PlanBoard
    {
        $plan = $shown->plan;
        // Machines that went home since are in nobody's way.
        $jobs = $this->jobs->numbered(array_map(static fn (array $job): int => (int) substr($job['id'], 1), $plan['jobs']));
        $people = $this->beside->hands();
        $marks = $this->beside->marks();
        $begins = $shown->beginsAt;
        $items = [];
        foreach ($plan['operations'] as ['id' => $id, 'start' => $start, 'end' => $end, 'uses' => $uses]) {
            [$number, $kind] = explode('.', $id, 2);
            // What was recorded since is done.
            if (isset($jobs[$number]) && (!isset($this->kinds->kinds[$kind]) || isset($jobs[$number]->left[$kind]))) {
                $items[$id] = $this->item($id, $kind, $start, $end, $uses, $jobs[$number], $marks[$id] ?? null, $people, $begins);
            }
        }
        $promises = [];
        foreach ($plan['jobs'] as ['id' => $id, 'ends' => $ends, 'late' => $late]) {
            $odds = $shown->odds[$id] ?? null;
            if (null !== $ends && null !== $odds && null !== ($jobs[$id] ?? null)?->wantedBy) {
                $promises[] = ['job' => $jobs[$id], 'ready' => self::after($begins, $ends), 'late' => $late ?? 0, 'odds' => $odds, 'likely' => self::after($begins, $odds['most']), 'hangsOn' => array_values(array_filter(array_map(static fn (string $one): ?PlanItem => $items[$one] ?? null, $odds['hangs_on'])))];
            }
        }
        usort($promises, static fn (array $one, array $other): int => [$one['odds']['kept'], $one['job']->wantedBy] <=> [$other['odds']['kept'], $other['job']->wantedBy]);
        $changes = [];
        foreach ($shown->changes as $change) {
            $item = $items[$change['operation']] ?? null;
            if (null !== $item) {
                $changes[] = [$item, self::after($begins, $change['from'] ?? 0), self::names($change['hands_from'], $people), self::names($change['hands_to'], $people)];
            }
        }

        return new PlanBoard(
            $shown->id,
            $shown->madeAt,
            array_values($items),
            $promises,
            array_map(static fn (array $save): array => [$save, match ($save['what']) {
                'hour' => self::names([$save['whose']], $people),
                'unit' => $save['whose'],
                default => ($jobs[$save['whose']] ?? null)->label ?? '',
            }], $shown->savings),
            $changes,
            array_values(array_filter(array_map(static function (array $one) use ($jobs): ?array {
                [$number, $kind] = explode('.', $one['id'], 2);

                return isset($jobs[$number]) ? ['job' => $jobs[$number], 'kind' => $kind, 'reason' => self::reason($one['reason'])] : null;
            }, $plan['unplanned']))),
            $people,
            self::open($shown->resources),
        );
    }

    /**
     * @param list<array{id: string, open?: list<array{int, int}>}> $resources
     *
     * @return array<int, Openings> by person
     */
    private static function open(array $resources): array
    {
        $open = [];
        foreach ($resources as $resource) {
            $member = Workplace::memberOf($resource['id']);
            if (null !== $member && isset($resource['open'])) {
                $open[$member] = Openings::of($resource['open']);
            }
        }

        return $open;
    }

    /** The reason that was written down in words. */
    private static function reason(string $words): WhyNot
    {
        foreach (WhyNot::cases() as $why) {
            if ($why->inWords() === $words) {
                return $why;
            }
        }

        return WhyNot::NoRoom;
    }

    /**
     * @param list<string>     $hands
     * @param array<int, Hand> $people
     */
    private static function names(array $hands, array $people): string
    {
        return implode(', ', array_map(static fn (string $one): string => $people[Workplace::memberOf($one) ?? 0]->name ?? '', $hands));
    }

    /** As `modify` would say, for a fifth of its price: a plan has hundreds of moments. */
    private static function after(\DateTimeImmutable $begins, int $minutes): \DateTimeImmutable
    {
        return $begins->setTimestamp($begins->getTimestamp() + 60 * $minutes);
    }

    /**
     * @param list<string>     $uses
     * @param array<int, Hand> $people
     */
    private function item(string $id, string $kind, int $start, int $end, array $uses, PlannedJob $job, ?OpenMark $mark, array $people, \DateTimeImmutable $begins): PlanItem
    {
        $hands = null;
        $places = [];
        foreach ($uses as $one) {
            $member = Workplace::memberOf($one);
            if (null === $member) {
                $places[] = $one;
            } else {
                $hands = $people[$member] ?? null;
            }
        }
        $isUnderWay = true === $mark?->isStarted;

        return new PlanItem(
            $id,
            $job,
            1 === preg_match('/^wait\d+$/', $kind) ? 'wait' : $kind,
            self::after($begins, $start),
            self::after($begins, $end),
            $start,
            $end,
            $isUnderWay ? $people[$mark->hands ?? 0] ?? null : $hands,
            $places,
            !isset($this->kinds->kinds[$kind]) || (null === $hands && !$isUnderWay),
            ($job->left[$kind] ?? null)->isLikely ?? false,
            $mark,
        );
    }
}
