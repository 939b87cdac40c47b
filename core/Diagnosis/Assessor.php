<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Gate\Gatekeeper;

/** From a case to its suspects, the next tests, what is closed, and where the owner's story does not hold. */
final readonly class Assessor implements Assessing
{
    private const REASONS = 6;

    /** What a prospect names: so many faults, whose probability would move by so much. */
    private const SHIFTS = 4;
    private const LEAST_SHIFT = 0.02;

    private Suggestions $suggestions;
    private SplitRules $splits;

    public function __construct(private FaultModel $model, Vocabulary $vocabulary, private Gatekeeper $gatekeeper)
    {
        $this->suggestions = new Suggestions($model, $vocabulary, Access::shipped($vocabulary));
        $this->splits = SplitRules::shipped($model);
    }

    public function assess(CaseFile $case): Assessment
    {
        $beliefs = Beliefs::fromCase($this->model, $case);
        $blocked = $this->gatekeeper->closed($case);

        return new Assessment(
            $this->suspects($case, $beliefs, Beliefs::before($this->model, new CaseFile($case->machine))),
            $this->suggestions->rank($case, $beliefs, $blocked),
            $blocked,
            $this->contradictions($case),
            $this->splits->split($beliefs, $case),
        );
    }

    public function beliefs(CaseFile $case): array
    {
        return Beliefs::fromCase($this->model, $case)->now;
    }

    /**
     * What each outcome of a test would change, were it seen now.
     *
     * @return list<OutcomePreview> in the order of the outcomes; none for a test that tells nothing of faults
     */
    public function prospects(CaseFile $case, string $test): array
    {
        $shows = $this->model->tests[$test] ?? null;
        if (null === $shows) {
            return [];
        }
        $now = $this->beliefs($case);
        $prospects = [];
        $before = 0.0;
        foreach ($shows->cumulative($now) as $place => $upTo) {
            $outcome = $shows->outcomes[$place];
            $then = $this->beliefs($case->with(Finding::observed($test, $outcome)));
            $shifts = [];
            foreach ($then as $fault => $after) {
                if (abs($after - $now[$fault]) >= self::LEAST_SHIFT) {
                    $shifts[$fault] = ['before' => $now[$fault], 'after' => $after];
                }
            }
            uasort($shifts, static fn (array $one, array $other): int => abs($other['after'] - $other['before']) <=> abs($one['after'] - $one['before']));
            $prospects[] = new OutcomePreview($outcome, max(0.0, $upTo - $before), \array_slice($shifts, 0, self::SHIFTS));
            $before = $upTo;
        }

        return $prospects;
    }

    /**
     * How belief moved over the course of a job.
     *
     * @param list<list<Finding|PutRight|Done>> $steps what came together, in the order it came
     *
     * @return list<array<string, float>> by fault, after each step
     */
    public function course(CaseFile $start, array $steps): array
    {
        $course = [];
        foreach ($steps as $events) {
            foreach ($events as $event) {
                $start = $start->with($event);
            }
            $course[] = $this->beliefs($start);
        }

        return $course;
    }

    /**
     * @param array<string, float> $usual by fault
     *
     * @return list<Suspect>
     */
    private function suspects(CaseFile $case, Beliefs $beliefs, array $usual): array
    {
        $reasons = [];
        foreach ($beliefs->observations as $observation) {
            foreach ($observation->places as $place) {
                [$test, $outcome] = $this->found($case, $observation->test, $observation->model->outcomes[$place]);
                foreach ((new OutcomeTerm($observation, $place, 1.0, $beliefs->priors))->ratios($beliefs->now) as $fault => $ratio) {
                    $reasons[$fault][] = new Reason($test, $outcome, log($ratio));
                }
            }
        }
        $suspects = [];
        foreach ($this->model->faults() as $fault) {
            $because = $reasons[$fault] ?? [];
            usort($because, static fn (Reason $one, Reason $other): int => abs($other->logOdds) <=> abs($one->logOdds));
            $suspects[] = new Suspect($fault, $beliefs->now[$fault] ?? 0.0, $usual[$fault] ?? 0.0, $beliefs->priors[$fault] ?? 0.0, \array_slice($because, 0, self::REASONS), $beliefs->isLookedAt($fault), $this->model->isBeside($fault), \in_array($fault, $beliefs->seen, true));
        }
        usort($suspects, static fn (Suspect $one, Suspect $other): int => [$other->probability, $one->fault] <=> [$one->probability, $other->fault]);

        return $suspects;
    }

    /**
     * The finding itself, where it counts as something else: of two cylinders, or of what means nothing yet.
     *
     * @return array{string, string} test and outcome
     */
    private function found(CaseFile $case, string $test, string $outcome): array
    {
        $found = $case->standing($test);
        $other = $this->model->twins()[$test] ?? array_search($test, $this->model->twins(), true);
        if (null === $found || $found->saysAnyOf([$outcome])) {
            return [$test, $outcome];
        }

        return \is_string($other) && true === $case->standing($other)?->saysAnyOf([$outcome]) ? [$other, $outcome] : [$test, $found->outcomes[0] ?? $outcome];
    }

    /** @return list<Contradiction> */
    private function contradictions(CaseFile $case): array
    {
        $contradictions = [];
        foreach ($this->model->claims as $claim => $rules) {
            $said = $case->standing($claim)->outcomes[0] ?? '';
            $rule = $rules[$said] ?? null;
            if (null === $rule) {
                continue;
            }
            $believed = new ClaimBelief($rule);
            if ($believed->isContradicted($case)) {
                $contradictions[] = new Contradiction($claim, $said, $believed->against($case), $believed->probability($case));
            }
        }

        return $contradictions;
    }
}
