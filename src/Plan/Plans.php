<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use AwakeShed\App\Belonging\CurrentShop;
use AwakeShed\App\Once\Leases;
use AwakeShed\Core\Schedule\Day\JobOdds;
use AwakeShed\Core\Schedule\Day\Replays;
use AwakeShed\Core\Schedule\Day\Saving;
use AwakeShed\Core\Schedule\Former;
use AwakeShed\Core\Schedule\Mender;
use AwakeShed\Core\Schedule\Placed;
use AwakeShed\Core\Schedule\Plan;
use AwakeShed\Core\Schedule\PlanFormat;
use AwakeShed\Core\Schedule\PlanJob;
use AwakeShed\Core\Schedule\Planner;
use AwakeShed\Core\Schedule\Problem;
use AwakeShed\Core\Schedule\ProblemFormat;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;

/**
 * The plan of the shop: made after a change, never while somebody looks. What was promised to people by the one before
 * stays, unless a new plan is worth telling them.
 *
 * @phpstan-import-type Change from PlanVersion
 * @phpstan-import-type Odds from PlanVersion
 */
final readonly class Plans
{
    /** A plan begins at a round minute. */
    private const ROUND = 300;

    /** Milliseconds' worth of steps for a plan from nothing. */
    private const BUDGET = 250;

    /** So many ways of saving a promise are shown. */
    private const SAVINGS = 6;

    /** Jobs of the plan up to which ways out are planned one by one. */
    private const FEW_JOBS = 80;

    /** Operations that are replayed at most: a thousand times a plan of a hundred and fifty machines, less often a larger one. */
    private const REPLAYED = 1_000_000;

    /** Replays for a promise that nobody has made yet. */
    private const FEW_RUNS = 400;

    private const LEASE = 'plan';

    /** s a plan is given: well above what its budget of steps takes, so that only one that died is passed by. */
    private const GIVEN = 30;

    /** s between two plans while changes keep coming. */
    private const REST = 4;

    /** s after which whoever plans leaves what still comes to others. */
    private const LONGEST = 25;

    private const MOST_CHANGES = 30;

    public function __construct(private WorkToPlan $work, private PlanVersionRepository $versions, private MarkRepository $marks, private EntityManagerInterface $entities, private ClockInterface $clock, private TypicalJob $typical, private Workplace $place, private Leases $leases, private CurrentShop $shop, private string $shopTimezone)
    {
    }

    public function last(): ?PlanVersion
    {
        return $this->versions->last();
    }

    /** The same as pages show it. */
    public function shown(): ?ShownPlan
    {
        return $this->versions->shown(new \DateTimeZone($this->shopTimezone));
    }

    /**
     * Makes the plan anew. Where somebody else is at it, they are told and make another: nobody waits, and nothing that
     * was saved is missed.
     *
     * @param bool $waits whether to wait out somebody at it, who may have died
     */
    public function replan(bool $waits = false): void
    {
        $connection = $this->entities->getConnection();
        $connection->executeStatement('INSERT INTO plan_state (shop_id, wanted, made) VALUES (@shop, 1, 0) ON DUPLICATE KEY UPDATE wanted = wanted + 1');
        $begun = hrtime(true);
        while ($this->isBehind() && null !== ($lease = $this->leases->take(self::LEASE.' '.$this->shop->id(), self::GIVEN, $waits ? self::GIVEN + 1 : 0))) {
            try {
                // Each plan has the time of a page for itself, where pages have one.
                if ('0' !== \ini_get('max_execution_time')) {
                    set_time_limit(self::GIVEN);
                }
                $wanted = $connection->fetchOne('SELECT wanted FROM plan_state WHERE shop_id = @shop');
                // What was read for the last one is not what is there now.
                $this->entities->clear();
                $this->endWhatIsRecorded();
                $this->make();
                $connection->executeStatement('UPDATE plan_state SET made = ? WHERE shop_id = @shop', [$wanted]);
                // Changes come in bursts: those of the next seconds are planned together.
                if ($this->isBehind()) {
                    sleep(self::REST);
                }
            } finally {
                $this->leases->give($lease);
            }
            if ((hrtime(true) - $begun) / 1e9 > self::LONGEST) {
                // The worker is wanted back; the plan's own page, or the next change, takes it up.
                break;
            }
        }
    }

    /** Whether a plan was wanted after the last one was begun. */
    public function isBehind(): bool
    {
        return 1 === $this->entities->getConnection()->fetchOne('SELECT made < wanted FROM plan_state WHERE shop_id = @shop');
    }

    public function now(): \DateTimeImmutable
    {
        return $this->clock->now()->setTimezone(new \DateTimeZone($this->shopTimezone));
    }

    private function make(): void
    {
        $now = $this->now();
        $from = $now->setTimestamp(intdiv($now->getTimestamp(), self::ROUND) * self::ROUND);
        [$problem, $spreads] = $this->work->from($from, self::BUDGET);
        $written = ProblemFormat::write($problem);
        $former = $this->versions->last();
        // Most of what is found changes nothing of what is left: the same problem has the same plan.
        if (null !== $former && $former->getBeginsAt()->getTimestamp() === $from->getTimestamp() && self::isSame($former->getProblem(), $written)) {
            return;
        }
        $before = null === $former ? null : $this->asOf($former, $problem, Workplace::minutesBetween($former->getBeginsAt(), $from));
        $plan = null === $before ? Planner::plan($problem) : $this->better(Mender::mend($problem, $before), $problem, $before);
        $odds = (new Replays($plan))->run($spreads, $problem->seed, min(Replays::RUNS, intdiv(self::REPLAYED, max(1, \count($plan->placed)))));
        $waiting = array_values(array_unique(array_map(static fn (Placed $one): string => $one->operation->job, array_filter($plan->placed, static fn (Placed $one): bool => 1 === preg_match('/\.(part|word)$/', $one->operation->id)))));
        $savings = 0 === $plan->tardiness() || \count($problem->jobs) > self::FEW_JOBS ? [] : Saving::of($plan, $waiting);
        $this->versions->keep(new PlanVersion(
            $this->clock->now()->setTimestamp($from->getTimestamp()),
            $written,
            PlanFormat::write($plan, 0),
            self::told($odds + $this->oddsOfOneMore($problem, $plan, $spreads)),
            array_map(static fn (Saving $one): array => ['what' => $one->what, 'whose' => $one->whose, 'saved' => $one->saved, 'kept' => $one->kept], \array_slice($savings, 0, self::SAVINGS)),
            null === $before ? [] : \array_slice($this->changes($before, $plan), 0, self::MOST_CHANGES),
            $this->clock->now(),
        ));
        $this->tellJobs($problem, $plan, $from);
    }

    /**
     * @param array<string, mixed> $one   as it was kept
     * @param array<string, mixed> $other
     */
    private static function isSame(array $one, array $other): bool
    {
        return json_encode($one, \JSON_THROW_ON_ERROR) === json_encode($other, \JSON_THROW_ON_ERROR);
    }

    /**
     * When one more machine, taken in now, would be ready: behind all that is there, nobody else's work moved for it.
     *
     * @param array<string, float> $spreads
     *
     * @return array<array-key, JobOdds>
     */
    private function oddsOfOneMore(Problem $problem, Plan $plan, array $spreads): array
    {
        [$more, $own] = $this->typical->behind($problem, $this->work->times());
        $odds = (new Replays(Mender::mend($more, $plan)))->run($spreads + $own, $problem->seed, self::FEW_RUNS);

        return array_intersect_key($odds, [TypicalJob::ID => true]);
    }

    /**
     * @param array<array-key, JobOdds> $odds
     *
     * @return array<string, Odds>
     */
    private static function told(array $odds): array
    {
        $told = [];
        foreach ($odds as $job => $one) {
            $told[(string) $job] = ['kept' => $one->kept(), 'half' => $one->readyBy(0.5), 'most' => $one->readyBy(0.8), 'nearly' => $one->readyBy(0.95), 'hangs_on' => $one->hangsOn];
        }

        return $told;
    }

    /** Writes onto each job what is planned of it next: its page says so without reading a plan. */
    private function tellJobs(Problem $problem, Plan $plan, \DateTimeImmutable $from): void
    {
        $names = [];
        foreach ($this->place->people() as $member) {
            $names[Workplace::personId($member)] = $member->getName();
        }
        $next = array_fill_keys(array_map(static fn (PlanJob $job): int => (int) substr($job->id, 1), $problem->jobs), null);
        foreach ($plan->placed as $placed) {
            $hands = array_values(array_intersect_key($names, array_flip(array_column($placed->uses(), 0))));
            [$job, $kind] = explode('.', substr($placed->operation->id, 1), 2);
            if ([] !== $hands) {
                $next[(int) $job] ??= ['kind' => $kind, 'at' => $from->modify("+$placed->start minutes")->setTimezone(new \DateTimeZone('UTC'))->format(\DATE_ATOM), 'hands' => $hands[0]];
            }
        }
        $this->entities->getConnection()->transactional(static function (Connection $connection) use ($next): void {
            foreach ($next as $job => $planned) {
                $connection->update('job', ['planned' => $planned], ['id' => $job], ['planned' => Types::JSON]);
            }
        });
    }

    /** A plan from nothing, where it brings more than its changes cost. */
    private function better(Plan $mended, Problem $problem, Plan $before): Plan
    {
        // Nothing brings forward what waits for a part.
        if ($mended->isProved && [] === $mended->unplanned) {
            return $mended;
        }
        $fresh = Planner::plan($problem);
        $price = fn (Plan $plan): int => Former::PRICE * \count($this->changes($before, $plan)) + $plan->tardiness();

        return \count($fresh->unplanned) < \count($mended->unplanned) || $price($fresh) < $price($mended) ? $fresh : $mended;
    }

    /** The plan before, in the minutes of the new one, as far as it is of what is still to do. */
    private function asOf(PlanVersion $former, Problem $problem, int $passed): Plan
    {
        $operations = array_column(array_map(static fn ($one): array => [$one->id, $one], $problem->operations), 1, 0);
        $placed = [];
        /** @var list<array{id: string, start: int, end: int, uses: list<string>}> $old */
        $old = $former->getPlan()['operations'];
        foreach ($old as ['id' => $id, 'start' => $start, 'end' => $end, 'uses' => $uses]) {
            $operation = $operations[$id] ?? null;
            if (null === $operation) {
                continue;
            }
            foreach ($operation->ways() as $way => $taken) {
                if (array_column($taken, 0) === $uses) {
                    $placed[] = new Placed($operation, $start - $passed, $end - $passed, $way);
                    break;
                }
            }
        }

        return new Plan($problem, $placed, []);
    }

    /** @return list<Change> what people would be told: begun at another time, or by others */
    private function changes(Plan $before, Plan $plan): array
    {
        $was = array_column(array_map(static fn (Placed $one): array => [$one->operation->id, $one], $before->placed), 1, 0);
        $changes = [];
        foreach ($plan->placed as $placed) {
            $old = $was[$placed->operation->id] ?? null;
            if (null === $old || [] === $placed->operation->ways()[0]) {
                continue;
            }
            $hands = static fn (Placed $one): array => array_values(array_filter(array_column($one->uses(), 0), static fn (string $resource): bool => null !== Workplace::memberOf($resource)));
            // What was to have begun already begins now, as far as anybody can tell.
            if ($hands($old) !== $hands($placed) || abs(max(0, $old->start) - $placed->start) > Former::SLACK) {
                $changes[] = ['operation' => $placed->operation->id, 'from' => $old->start, 'to' => $placed->start, 'hands_from' => $hands($old), 'hands_to' => $hands($placed)];
            }
        }

        return $changes;
    }

    /** What was begun and is not left any more was done: it is recorded. */
    private function endWhatIsRecorded(): void
    {
        foreach ($this->marks->open() as $mark) {
            $left = array_map(static fn ($piece): string => $piece->kind, $mark->getJob()->getWorkLeft());
            if (!\in_array($mark->getKind(), $left, true)) {
                $mark->end($this->clock->now());
            }
        }
        $this->entities->flush();
    }
}
