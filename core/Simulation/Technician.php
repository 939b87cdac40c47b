<?php

declare(strict_types=1);

namespace AwakeShed\Core\Simulation;

use AwakeShed\Core\Diagnosis\Access;
use AwakeShed\Core\Diagnosis\Beliefs;
use AwakeShed\Core\Diagnosis\FaultModel;
use AwakeShed\Core\Diagnosis\Suggestions;
use AwakeShed\Core\Diagnosis\Suspect;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Gate\Gatekeeper;

/**
 * A simulated technician: tests what the order says and the gates allow, and puts right what the findings make likely
 * enough; when nothing is left to test, the likeliest.
 */
final readonly class Technician
{
    /** So likely a fault must be for one to try its cure when nothing is left to test (invented). */
    private const WORTH_A_TRY = 0.02;

    /** One who knows the fault tries so many of its plainest proofs for the quickest. */
    private const PROOFS = 3;

    private Suggestions $suggestions;
    private Access $access;

    public function __construct(private FaultModel $model, private Vocabulary $vocabulary, private Gatekeeper $gatekeeper)
    {
        $this->access = Access::shipped($vocabulary);
        $this->suggestions = new Suggestions($model, $vocabulary, $this->access);
    }

    /**
     * The quickest that one who knows what is wrong can show it: by what tells most of it a minute, or straight to one of its
     * plainest proofs.
     *
     * @param \Closure(): HiddenMachine $machine the same anew
     */
    public function quickest(\Closure $machine, Dice $dice): Worked
    {
        $best = $this->work($machine(), Order::Knowing, $dice);
        foreach ($machine()->hindered() as $fault) {
            foreach ($this->model->proofs($fault, self::PROOFS) as $proof) {
                $straight = $this->work($machine(), Order::Knowing, $dice, straightTo: $proof['test'], most: $best->found ? $best->minutes : \INF);
                $best = $straight->found && (!$best->found || $straight->minutes < $best->minutes) ? $straight : $best;
            }
        }

        return $best;
    }

    /**
     * @param bool        $whole      until nothing hinders the machine; else until the first fault that does is named
     * @param string|null $straightTo of one who knows: the test to be made first, and before it only what opens it
     * @param float       $most       min after which it is given up
     */
    public function work(HiddenMachine $machine, Order $order, Dice $dice, bool $whole = false, ?Snapshot $snapshot = null, ?string $straightTo = null, float $most = \INF): Worked
    {
        $case = $machine->intake;
        $minutes = 0.0;
        $tests = $needless = 0;
        $hasNamed = false;
        $beliefs = Beliefs::fromCase($this->model, $case);
        $snapshot?->see($beliefs, $machine);
        while (([] !== $machine->hindered() && ($whole || !$hasNamed)) || false === $snapshot?->isTaken()) {
            $cure = $this->likelyEnough($beliefs, Suspect::SURE);
            $test = null === $cure ? ($this->straight($straightTo, $case) ?? $this->next($case, $beliefs, $order, $dice, $machine)) : null;
            $cure ??= null === $test ? $this->likelyEnough($beliefs, self::WORTH_A_TRY, $case) : null;
            if (null !== $cure) {
                $hasNamed = $hasNamed || \in_array($cure, $machine->hindered(), true);
                $needless += $machine->has($cure) ? 0 : 1;
                $machine->putRight($cure);
                $case = $case->with(new PutRight($cure));
                $beliefs = Beliefs::fromCase($this->model, $case);
                continue;
            }
            if (null === $test || $minutes > $most) {
                break;
            }
            $outcome = $machine->answer($test);
            $minutes += $this->access->minutes($test, $case);
            $case = $case->with(Finding::observed($test, $outcome));
            ++$tests;
            // One who follows no suggestion stops to think when something is out of the ordinary.
            if (\in_array($order, [Order::Suggested, Order::Knowing], true) || 0 !== $this->model->tests[$test]->place($outcome)) {
                $beliefs = Beliefs::fromCase($this->model, $case);
            }
            $snapshot?->see($beliefs, $machine);
        }

        return new Worked($minutes, $tests, $needless, $whole ? [] === $machine->hindered() : $hasNamed);
    }

    /** @return string|null the test, or what opens it; null where it was made or cannot be */
    private function straight(?string $test, CaseFile $case): ?string
    {
        if (null === $test || null !== $case->standing($test)) {
            return null;
        }
        $blockers = $this->gatekeeper->blockers($case, $test);
        foreach ($blockers as $blocker) {
            if (isset($this->model->tests[$blocker->until]) && null === $case->standing($blocker->until)) {
                return $this->straight($blocker->until, $case);
            }
        }

        return [] === $blockers ? $test : null;
    }

    private function next(CaseFile $case, Beliefs $beliefs, Order $order, Dice $dice, HiddenMachine $machine): ?string
    {
        $blocked = $this->gatekeeper->closed($case);
        $suggested = match ($order) {
            Order::Suggested => $this->suggestions->rank($case, $beliefs, $blocked),
            Order::Knowing => $this->suggestions->rank($case, $beliefs, $blocked, $machine->hindered()),
            default => [],
        };
        if ([] !== $suggested) {
            return $suggested[0]->test;
        }
        // Told nothing more, one goes on by the book.
        $open = $this->suggestions->open($case, $blocked);

        return [] === $open ? null : $open[Order::Random === $order ? (int) ($dice->roll() * \count($open)) : 0];
    }

    /** @param CaseFile|null $untried where given, only what was not put right before */
    private function likelyEnough(Beliefs $beliefs, float $from, ?CaseFile $untried = null): ?string
    {
        $likely = array_filter(
            $beliefs->now,
            static fn (float $belief, string $fault): bool => $belief >= $from && Suspect::canPutRight($fault) && true !== $untried?->wasPutRight($fault) && (null !== $untried || $beliefs->isLookedAt($fault)),
            \ARRAY_FILTER_USE_BOTH,
        );
        arsort($likely);

        return array_key_first($likely);
    }
}
