<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Gate\Blocker;
use AwakeShed\Core\Gate\BlockerKind;

/**
 * The tests that are worth making next: what each is expected to tell, a minute, among those that no gate closes.
 *
 * A look that opens others is worth at least as much a minute as the best of what it opens, over the time of that and of
 * all the looks it takes.
 */
final readonly class Suggestions
{
    /** Less is not worth anybody's minute. */
    private const LEAST_BITS = 0.0005;

    /** A test that takes no time would be worth anything. */
    private const LEAST_MINUTES = 0.5;

    /** What the findings have raised to so many times its prior, or is as likely as this, is asked after first; the rest can wait. */
    private const RAISED = 2.0;
    private const SUSPECT = 0.25;
    private const BACKGROUND = 0.1;

    private const TELLS = 3;

    /** An engine that did not start is not run. */
    private const RUNS = ['start.plain' => ['runs', 'runs_rough'], 'start.bypass' => ['runs_while_fed']];

    /** States after which nobody looks again at what was changed: it is new, clean or gone. */
    private const ANSWERS = ['renewed', 'replaced', 'drained', 'cleaned', 'flushed', 'dried', 'tapped'];
    private const FRESH_FUEL = 'tank.filled';

    public function __construct(private FaultModel $model, private Vocabulary $vocabulary)
    {
    }

    /**
     * @param array<string, list<Blocker>> $blocked
     *
     * @return list<NextTest> the most worth a minute first
     */
    public function rank(CaseFile $case, Beliefs $beliefs, array $blocked): array
    {
        $informing = $this->informing($case, $beliefs);
        $rates = $opens = [];
        foreach ($informing as $test => $information) {
            $rates[$test] = $information->bits() / $this->minutes($test);
        }
        foreach ($blocked as $test => $blockers) {
            $looks = self::onlyLooks($blockers);
            if (!isset($informing[$test]) || null === $looks) {
                continue;
            }
            $bits = $informing[$test]->bits();
            $minutes = $this->minutes($test);
            foreach ($looks as $look) {
                $minutes += $this->minutes($look);
            }
            foreach ($looks as $look) {
                if ($bits / $minutes > ($rates[$look] ?? 0.0)) {
                    $rates[$look] = $bits / $minutes;
                    $opens[$look] = $test;
                }
            }
        }
        $next = [];
        foreach (array_diff_key($rates, $blocked) as $test => $rate) {
            if ($rate * $this->minutes($test) >= self::LEAST_BITS) {
                $tells = isset($informing[$test]) ? array_keys($informing[$test]->byFault) : [];
                $next[] = new NextTest($test, $this->vocabulary->test($test)->minutes, $rate * $this->minutes($test), \array_slice($tells, 0, self::TELLS), $opens[$test] ?? null);
            }
        }
        usort($next, static fn (NextTest $one, NextTest $other): int => [$rates[$other->test], $one->test] <=> [$rates[$one->test], $other->test]);

        return $next;
    }

    /**
     * @param array<string, list<Blocker>> $blocked
     *
     * @return list<string> the tests to be made that nothing closes, in the order of the work
     */
    public function open(CaseFile $case, array $blocked): array
    {
        return array_values(array_filter(
            array_keys(array_diff_key($this->model->tests, $blocked)),
            fn (string $test): bool => $this->isToBeMade($test, $case),
        ));
    }

    /** @return array<string, InformationGain> by test to be made, closed ones too */
    private function informing(CaseFile $case, Beliefs $beliefs): array
    {
        $concern = [];
        foreach ($beliefs->now as $fault => $belief) {
            $concern[$fault] = $belief > min(self::SUSPECT, self::RAISED * $beliefs->priors[$fault]) ? 1.0 : self::BACKGROUND;
        }
        $informing = [];
        foreach ($this->model->tests as $test => $shows) {
            if ($this->isToBeMade($test, $case)) {
                $informing[$test] = new InformationGain($shows, $beliefs->now, $concern);
            }
        }

        return $informing;
    }

    /** Whether nobody has made it yet, or something it speaks of was put right since. */
    private function isToBeMade(string $test, CaseFile $case): bool
    {
        return !str_starts_with($test, 'claim.')
            && $this->vocabulary->applies($test, $case->machine)
            && !$this->isAnsweredByState($test, $case)
            && (null === $case->standing($test) || $case->putRightSince($test, ...array_keys($this->model->tests[$test]->causes ?? [])));
    }

    /** Whether the state of the machine says already what the test would, or it cannot be made as the machine stands. */
    private function isAnsweredByState(string $test, CaseFile $case): bool
    {
        if (str_starts_with($test, 'run.') && !$case->says(self::RUNS)) {
            return true;
        }

        $act = $case->changedBy($test);

        return null !== $act && (\in_array($act->state, self::ANSWERS, true) || self::FRESH_FUEL === $act->id);
    }

    /** @return float min */
    private function minutes(string $test): float
    {
        return max(self::LEAST_MINUTES, $this->vocabulary->test($test)->minutes);
    }

    /**
     * @param list<Blocker> $blockers
     *
     * @return list<string>|null the looks that would open it; null where a hold stands in the way, or something has to be done first
     */
    private static function onlyLooks(array $blockers): ?array
    {
        $looks = [];
        foreach ($blockers as $blocker) {
            if (\in_array($blocker->kind, [BlockerKind::Hold, BlockerKind::Act], true)) {
                return null;
            }
            $looks[] = $blocker->until;
        }

        return $looks;
    }
}
