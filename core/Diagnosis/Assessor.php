<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Gate\Gatekeeper;

/** From a case to its suspects, the next tests, what is closed, and where the owner's story does not hold. */
final readonly class Assessor
{
    /** Less is not worth anybody's minute. */
    private const LEAST_BITS = 0.002;

    /** A test that takes no time would be worth anything. */
    private const LEAST_MINUTES = 0.5;

    /** A claim is named as contradicted from so much below what such claims are usually worth. */
    private const CONTRADICTED = 0.7;

    /** So many times its prior a fault counts as raised by the findings. */
    private const RAISED = 2.0;
    private const BACKGROUND = 0.3;

    private const REASONS = 6;
    private const TELLS = 3;

    public function __construct(private FaultModel $model, private Vocabulary $vocabulary, private Gatekeeper $gatekeeper)
    {
    }

    public function assess(CaseFile $case): Assessment
    {
        $priors = $this->model->priors($case);
        $observations = $this->observations($case);
        $beliefs = Inference::posterior($priors, $observations, $this->model->brings());
        $blocked = $this->gatekeeper->closed($case);

        return new Assessment(
            $this->suspects($priors, $beliefs, $observations),
            $this->next($case, $priors, $beliefs, $blocked),
            $blocked,
            $this->contradictions($case),
        );
    }

    /** @return list<Observation> of the findings that stand, numbers apart */
    private function observations(CaseFile $case): array
    {
        $observations = [];
        foreach ($this->model->tests as $test => $model) {
            $finding = $case->standing($test);
            $places = array_values(array_filter(array_map($model->place(...), $finding->outcomes ?? []), is_int(...)));
            if ([] !== $places) {
                $cured = array_filter(array_keys($model->causes), static fn (string $fault): bool => $case->putRightSince($test, $fault));
                $observations[] = new Observation($test, $model, $places, array_values($cured));
            }
        }

        return $observations;
    }

    /**
     * @param array<string, float> $priors
     * @param array<string, float> $beliefs
     * @param list<Observation>    $observations
     *
     * @return list<Suspect>
     */
    private function suspects(array $priors, array $beliefs, array $observations): array
    {
        $reasons = [];
        foreach ($observations as $observation) {
            foreach ($observation->places as $place) {
                $term = new Term($observation, $place, 1.0, array_keys($priors));
                foreach (array_keys($term->high) as $fault) {
                    $reasons[$fault][] = new Reason($observation->test, $observation->model->outcomes[$place], log($term->ratioFor($fault, $beliefs)));
                }
            }
        }
        $suspects = [];
        foreach ($this->model->faults() as $fault) {
            $because = $reasons[$fault] ?? [];
            usort($because, static fn (Reason $one, Reason $other): int => abs($other->logOdds) <=> abs($one->logOdds));
            $suspects[] = new Suspect($fault, $beliefs[$fault] ?? 0.0, \array_slice($because, 0, self::REASONS));
        }
        usort($suspects, static fn (Suspect $one, Suspect $other): int => [$other->probability, $one->fault] <=> [$one->probability, $other->fault]);

        return $suspects;
    }

    /**
     * @param array<string, float>                              $priors
     * @param array<string, float>                              $beliefs
     * @param array<string, list<\AwakeShed\Core\Gate\Blocker>> $blocked
     *
     * @return list<NextTest>
     */
    private function next(CaseFile $case, array $priors, array $beliefs, array $blocked): array
    {
        $concern = [];
        foreach ($beliefs as $fault => $belief) {
            // What the findings have raised is asked after first; what is no likelier than on any machine can wait.
            $concern[$fault] = $belief > self::RAISED * $priors[$fault] ? 1.0 : self::BACKGROUND;
        }
        $next = [];
        foreach ($this->model->tests as $test => $model) {
            $definition = $this->vocabulary->test($test);
            $isOpen = !isset($blocked[$test]) && $this->vocabulary->applies($test, $case->machine) && !str_starts_with($test, 'claim.');
            if (!$isOpen || (null !== $case->standing($test) && !$case->putRightSince($test, ...array_keys($model->causes)))) {
                continue;
            }
            $information = new Information($model, $beliefs, $concern);
            if ($information->bits() >= self::LEAST_BITS) {
                $next[] = new NextTest($test, $definition->minutes, $information->bits(), \array_slice(array_keys($information->byFault), 0, self::TELLS));
            }
        }
        $worth = static fn (NextTest $one): float => $one->bits / max(self::LEAST_MINUTES, $one->minutes);
        usort($next, static fn (NextTest $one, NextTest $other): int => [$worth($other), $one->test] <=> [$worth($one), $other->test]);

        return $next;
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
            $probability = $believed->probability($case);
            $against = $believed->against($case);
            if ([] !== $against && $probability < self::CONTRADICTED * $rule['base']) {
                $contradictions[] = new Contradiction($claim, $said, $against, $probability);
            }
        }

        return $contradictions;
    }
}
