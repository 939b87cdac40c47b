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
use AwakeShed\Core\Gate\Blocker;
use AwakeShed\Core\Gate\BlockerKind;
use AwakeShed\Core\Gate\Gatekeeper;

/**
 * A simulated technician: tests what the order says and the gates allow, and puts right what the findings make likely
 * enough; when nothing is left to test, the likeliest.
 */
final readonly class Technician
{
    /** So likely a fault must be for one to try its cure when nothing is left to test (invented). */
    private const WORTH_A_TRY = 0.02;

    /** What a hold asks for is done where it is as likely as this. */
    private const ASKED_FOR = 0.35;

    private Suggestions $suggestions;
    private Access $access;

    public function __construct(private FaultModel $model, private Vocabulary $vocabulary, private Gatekeeper $gatekeeper)
    {
        $this->access = Access::shipped($vocabulary);
        $this->suggestions = new Suggestions($model, $vocabulary, $this->access);
    }

    /**
     * @param bool $whole until nothing hinders the machine; else until the first fault that does is named
     */
    public function work(HiddenMachine $machine, Order $order, Dice $dice, bool $whole = false, ?Snapshot $snapshot = null): Worked
    {
        $case = $machine->intake;
        $minutes = 0.0;
        $tests = $needless = 0;
        $hasNamed = false;
        $beliefs = Beliefs::fromCase($this->model, $case);
        $snapshot?->see($beliefs, $machine);
        while (([] !== $machine->hindered() && ($whole || !$hasNamed)) || false === $snapshot?->isTaken()) {
            $cure = $this->likelyEnough($beliefs, Suspect::SURE) ?? $this->askedFor($case, $beliefs);
            $test = null === $cure ? $this->next($case, $beliefs, $order, $dice, $machine) : null;
            $cure ??= null === $test ? $this->likelyEnough($beliefs, self::WORTH_A_TRY, $case) : null;
            if (null !== $cure) {
                $hasNamed = $hasNamed || \in_array($cure, $machine->hindered(), true);
                $needless += $machine->has($cure) ? 0 : 1;
                $machine->putRight($cure);
                $case = $case->with(new PutRight($cure));
                $beliefs = Beliefs::fromCase($this->model, $case);
                continue;
            }
            if (null === $test) {
                break;
            }
            $outcome = $machine->answer($test);
            $minutes += $this->access->from($case)->minutes($test);
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

    /** The likeliest of what a hold that keeps the engine from being tried wants put right. */
    private function askedFor(CaseFile $case, Beliefs $beliefs): ?string
    {
        $held = array_map(static fn (Blocker $blocker): string => $blocker->until, array_filter($this->gatekeeper->blockers($case, 'start.plain'), static fn (Blocker $blocker): bool => BlockerKind::Hold === $blocker->kind));
        $asked = [];
        foreach ($this->vocabulary->holds as $hold) {
            if (\in_array($hold->id, $held, true)) {
                $asked += array_intersect_key($beliefs->now, array_flip($hold->untilPutRightAny));
            }
        }
        arsort($asked);
        $first = array_key_first($asked);

        return null !== $first && $asked[$first] >= self::ASKED_FOR ? $first : null;
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
