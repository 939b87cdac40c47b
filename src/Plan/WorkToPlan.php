<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Account\Role;
use AwakeShed\App\Carburetor\WantedPart;
use AwakeShed\App\Carburetor\WantedPartRepository;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobRepository;
use AwakeShed\App\Money\JobMonies;
use AwakeShed\App\Wait\Wait;
use AwakeShed\App\Wait\WaitKind;
use AwakeShed\App\Wait\WaitRepository;
use AwakeShed\Core\Progress\WaitsOn;
use AwakeShed\Core\Schedule\Day\Hands;
use AwakeShed\Core\Schedule\Day\LearnedTime;
use AwakeShed\Core\Schedule\Day\Piece;
use AwakeShed\Core\Schedule\Day\PieceKind;
use AwakeShed\Core\Schedule\Day\PieceKinds;
use AwakeShed\Core\Schedule\Objective;
use AwakeShed\Core\Schedule\Operation;
use AwakeShed\Core\Schedule\PlanJob;
use AwakeShed\Core\Schedule\Problem;

/**
 * What there is to plan: of every open job the pieces that are left, with the minutes this shop takes; what waits by
 * itself; what is waited for from outside; and what people said of it.
 */
final readonly class WorkToPlan
{
    /** Days ahead in which there must be room (invented: two months are a season). */
    public const DAYS = 60;

    /** Jobs at most: those wanted first. */
    public const MOST_JOBS = 300;

    /** What a minute past a promise counts against one past the day on which a job would have stood long enough. */
    private const PROMISED = 10;
    private const UNPROMISED = 1;

    /** Days after which a job for which nothing is promised has stood long enough (invented). */
    private const LONG_ENOUGH = 21;

    /** Days a part takes for which no day is said, and hours an owner takes to answer (invented). */
    private const PART_DAYS = 7;
    private const ANSWER_HOURS = 24;

    /** The end of a promised day, for whoever comes to fetch it, in minutes since midnight. */
    private const FETCHED_AT = 990;

    /** What must wait for a part or an owner's word: the looking goes on. */
    private const NEEDS_PARTS = ['refit', 'cure', 'first_run', 'oil_hot', 'stands_cold', 'proof', 'hand_over'];
    private const NEEDS_A_WORD = ['strip', 'bath', 'refit', 'cure', 'first_run', 'oil_hot', 'stands_cold', 'proof', 'hand_over'];

    /** The look at a settled jar: what comes after it waits for the jar, not what comes before. */
    private const SETTLES = 'settle';

    /** One mix for all: what may not go into it is not put into the bath (common practice). */
    public const MIX = 'hot detergent';

    public function __construct(
        private JobRepository $jobs,
        private WaitRepository $waits,
        private WantedPartRepository $parts,
        private MarkRepository $marks,
        private Workplace $place,
        private PieceKinds $kinds,
        private JobMonies $monies,
    ) {
    }

    /** @return array<string, LearnedTime> by kind of piece */
    public function times(): array
    {
        $timed = $this->marks->timed();

        return array_map(static fn (PieceKind $kind): LearnedTime => LearnedTime::from($kind->spread, $timed[$kind->id] ?? []), $this->kinds->kinds);
    }

    /**
     * @param \DateTimeImmutable $from in the shop's time; minute nought
     *
     * @return array{Problem, array<string, float>} with the spread of each operation's time
     */
    public function from(\DateTimeImmutable $from, int $budget): array
    {
        $open = $this->jobs->toPlan(self::MOST_JOBS);
        $times = $this->times();
        $pace = $this->monies->pace()->factor;
        $marks = $waits = $parts = [];
        foreach ($this->marks->open() as $mark) {
            $marks[$mark->getJob()->getId()][$mark->getKind()] = $mark;
        }
        foreach ($this->waits->underWay() as $wait) {
            $waits[$wait->getJob()->getId()][] = $wait;
        }
        foreach ($this->parts->open() as $part) {
            $parts[$part->getJob()->getId()][] = $part;
        }
        $resources = $this->place->resources($from, self::DAYS);
        $people = $this->place->people();
        $free = [];
        foreach ($resources as $resource) {
            $free[$resource->id] = null === $resource->openings->stretches || 0 === $resource->openings->firstStart(0, 1, false);
        }
        $planned = $operations = $spreads = [];
        foreach ($open as $job) {
            $number = $job->getId();
            $own = $this->ofJob($job, $from, $times, $pace, $marks[$number] ?? [], $waits[$number] ?? [], $parts[$number] ?? [], $people, $free);
            if ([] === $own) {
                continue;
            }
            $promised = $job->getWantedBy();
            $due = $promised ?? $job->getTakenInAt()->modify('+'.self::LONG_ENOUGH.' days');
            $planned[] = new PlanJob('j'.$number, Workplace::minutesBetween($from, new \DateTimeImmutable($due->format('Y-m-d'), $from->getTimezone())) + self::FETCHED_AT, null === $promised ? self::UNPROMISED : self::PROMISED);
            foreach ($own as [$operation, $spread]) {
                $operations[] = $operation;
                $spreads[$operation->id] = $spread;
            }
        }

        return [new Problem(Objective::WeightedTardiness, 1, $budget, $resources, $planned, $operations), $spreads];
    }

    /**
     * @param array<string, LearnedTime> $times
     * @param array<string, Mark>        $marks
     * @param list<Wait>                 $waits
     * @param list<WantedPart>           $parts
     * @param list<Member>               $people
     * @param array<string, bool>        $free   what is open now and in nobody's hands
     *
     * @return list<array{Operation, float}>
     */
    private function ofJob(Job $job, \DateTimeImmutable $from, array $times, float $pace, array $marks, array $waits, array $parts, array $people, array &$free): array
    {
        $id = 'j'.$job->getId();
        $operations = [];
        $last = [];
        $waited = static function (string $name, int $minutes) use ($id, &$operations): string {
            $operations[] = [new Operation("$id.$name", $id, max(1, $minutes)), 0.0];

            return "$id.$name";
        };
        $ready = [];
        $settled = $cold = null;
        foreach ($waits as $wait) {
            $name = $waited('wait'.$wait->getId(), Workplace::minutesBetween($from, $wait->getReadyAt()));
            match ($wait->getKind()) {
                WaitKind::SettleTank, WaitKind::SettleBowl => $settled = $name,
                WaitKind::StandsCold => $cold = $name,
                default => $ready[] = $name,
            };
        }
        $part = [] === $parts ? null : $waited('part', max(array_map(fn (WantedPart $part): int => Workplace::minutesBetween($from, $this->expected($part, $from)), $parts)));
        $word = WaitsOn::Owner === $job->getWaitsOn() ? $waited('word', 60 * self::ANSWER_HOURS) : null;
        foreach ($job->getWorkLeft() as $piece) {
            if (('stands_cold' === $piece->kind && null !== $cold) || (self::SETTLES === $piece->kind && null !== $settled)) {
                continue;
            }
            $after = [...$last, ...$ready];
            if (null !== $part && \in_array($piece->kind, self::NEEDS_PARTS, true)) {
                $after[] = $part;
            }
            if (null !== $word && \in_array($piece->kind, self::NEEDS_A_WORD, true)) {
                $after[] = $word;
            }
            if (null !== $cold && 'proof' === $piece->kind) {
                $after[] = $cold;
            }
            if (null !== $settled && !\in_array($piece->kind, ['gates', 'fuel', self::SETTLES], true)) {
                $after[] = $settled;
            }
            $mark = $marks[$piece->kind] ?? null;
            $until = $mark?->getNotBefore();
            if (null !== $until && $until > $from) {
                $after[] = $waited('held-'.$piece->kind, Workplace::minutesBetween($from, $until));
            }
            $operations[] = [$this->operation($id, $piece, $from, $times, $pace, $mark, array_values(array_unique($after)), $people, $free), $times[$piece->kind]->spread];
            if (self::SETTLES === $piece->kind) {
                $settled = "$id.settle";
            } else {
                $last = ["$id.$piece->kind"];
                $ready = [];
            }
        }

        return $operations;
    }

    /**
     * @param array<string, LearnedTime> $times
     * @param list<string>               $after
     * @param list<Member>               $people
     * @param array<string, bool>        $free   what is open now and in nobody's hands
     */
    private function operation(string $job, Piece $piece, \DateTimeImmutable $from, array $times, float $pace, ?Mark $mark, array $after, array $people, array &$free): Operation
    {
        $kind = $this->kinds->kind($piece->kind);
        $minutes = Hands::Nobody === $kind->hands ? $piece->minutes : max(1, (int) round($piece->minutes * ($times[$kind->id]->timed > 0 ? $times[$kind->id]->factor : $pace)));
        if (null !== $mark?->getStartedAt()) {
            return $this->underWay($job, $kind, $mark, $from, $free);
        }
        $uses = [];
        foreach ($kind->uses as $resource) {
            $uses[] = [$resource, 1];
        }
        if ($kind->isBath) {
            $uses[] = [Workplace::BATH, 1];
            $minutes = $this->place->equipment()->all()['bath_minutes'];
        }
        $able = array_values(array_filter($people, static fn (Member $member): bool => match ($kind->hands) {
            Hands::Nobody => false,
            Hands::Anyone => true,
            Hands::Technician => Role::Apprentice !== $member->getRole(),
        }));
        $hands = $mark?->getHands();
        // Who has left works no more; whoever it was handed to, it is anybody's again.
        if (null !== $hands && $hands->isActive() && Hands::Nobody !== $kind->hands) {
            $able = [$hands];
        }
        $pinned = $mark?->getPinnedAt();

        return new Operation(
            "$job.$piece->kind",
            $job,
            $minutes,
            $uses,
            array_map(static fn (Member $member): array => [Workplace::personId($member)], $able),
            $after,
            [] === $after ? null : $kind->atMostAfter,
            null === $pinned ? null : max(0, Workplace::minutesBetween($from, $pinned)),
            $kind->splits,
            $kind->isBath ? self::MIX : null,
        );
    }

    /**
     * What somebody has begun goes on at once, over closing time if need be, and holds what is there to be held.
     *
     * @param array<string, bool> $free what is open now and in nobody's hands
     */
    private function underWay(string $job, PieceKind $kind, Mark $mark, \DateTimeImmutable $from, array &$free): Operation
    {
        $hands = $mark->getHands();
        $uses = [];
        foreach ([...$kind->uses, ...null === $hands ? [] : [Workplace::personId($hands)]] as $resource) {
            if ($free[$resource] ?? false) {
                $uses[] = [$resource, 1];
                $free[$resource] = false;
            }
        }

        return new Operation("$job.$kind->id", $job, $mark->left($from), $uses, pinned: 0, splits: true);
    }

    private function expected(WantedPart $part, \DateTimeImmutable $from): \DateTimeImmutable
    {
        $on = $part->getExpectedOn();

        return null !== $on ? new \DateTimeImmutable($on->format('Y-m-d').' 08:00', $from->getTimezone()) : max($from->modify('+1 day'), $part->getChangedAt()->modify('+'.self::PART_DAYS.' days'));
    }
}
