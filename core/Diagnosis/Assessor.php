<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Gate\Gatekeeper;

/** From a case to its suspects, the next tests, what is closed, and where the owner's story does not hold. */
final readonly class Assessor
{
    /** A claim is named as contradicted from so much below what such claims are usually worth. */
    private const CONTRADICTED = 0.7;

    private const REASONS = 6;

    private Suggestions $suggestions;

    public function __construct(private FaultModel $model, Vocabulary $vocabulary, private Gatekeeper $gatekeeper)
    {
        $this->suggestions = new Suggestions($model, $vocabulary);
    }

    public function assess(CaseFile $case): Assessment
    {
        $beliefs = Beliefs::of($this->model, $case);
        $blocked = $this->gatekeeper->closed($case);

        return new Assessment(
            $this->suspects($beliefs),
            $this->suggestions->rank($case, $beliefs, $blocked),
            $blocked,
            $this->contradictions($case),
        );
    }

    /** @return list<Suspect> */
    private function suspects(Beliefs $beliefs): array
    {
        $reasons = [];
        foreach ($beliefs->observations as $observation) {
            foreach ($observation->places as $place) {
                foreach ((new Term($observation, $place, 1.0, $beliefs->priors))->ratios($beliefs->now) as $fault => $ratio) {
                    $reasons[$fault][] = new Reason($observation->test, $observation->model->outcomes[$place], log($ratio));
                }
            }
        }
        $suspects = [];
        foreach ($this->model->faults() as $fault) {
            $because = $reasons[$fault] ?? [];
            usort($because, static fn (Reason $one, Reason $other): int => abs($other->logOdds) <=> abs($one->logOdds));
            $suspects[] = new Suspect($fault, $beliefs->now[$fault] ?? 0.0, \array_slice($because, 0, self::REASONS));
        }
        usort($suspects, static fn (Suspect $one, Suspect $other): int => [$other->probability, $one->fault] <=> [$one->probability, $other->fault]);

        return $suspects;
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
