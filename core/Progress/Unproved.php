<?php

declare(strict_types=1);

namespace AwakeShed\Core\Progress;

use AwakeShed\Core\Diagnosis\Assessment;
use AwakeShed\Core\Diagnosis\FaultModel;
use AwakeShed\Core\Evidence\CaseFile;

/**
 * The faults that nobody has shown to be gone: put right and not looked at since, found and not put right, and the needle
 * of a machine that had gas where none belongs.
 */
final readonly class Unproved
{
    /** A look proves a fault gone that the fault would seldom let look so good. */
    private const SELDOM = 0.5;

    private const LIQUID = ['look.oil_smell' => ['gas'], 'look.oil_body' => ['thin'], 'pull.ejecta' => ['gas', 'mixture']];
    private const NEEDLE = 'carb.needle_leaks';

    public function __construct(private FaultModel $model)
    {
    }

    /** @return list<string> faults, by id */
    public function left(CaseFile $case, Assessment $assessment): array
    {
        $unproved = array_values(array_filter($case->cured(), fn (string $fault): bool => !$this->isProvedGone($fault, $case)));
        foreach ($assessment->faults as $suspect) {
            if ($suspect->isSure()) {
                $unproved[] = $suspect->fault;
            }
        }
        if ($case->everSaid(self::LIQUID) && !$case->says(['needle.pressure' => ['holds']])) {
            $unproved[] = self::NEEDLE;
        }

        return array_values(array_unique($unproved));
    }

    private function isProvedGone(string $fault, CaseFile $case): bool
    {
        $cured = $case->curedAt($fault);
        foreach ($this->model->tests as $test => $shows) {
            if (!isset($shows->causes[$fault]) || str_starts_with($test, 'claim.')) {
                continue;
            }
            foreach ($case->foundAt($test) > $cured ? $case->standing($test)->outcomes ?? [] : [] as $outcome) {
                $place = $shows->place($outcome);
                if (null !== $place && $shows->upTo($fault, $place) < self::SELDOM) {
                    return true;
                }
            }
        }

        // What no test showed is proved by the machine as a whole.
        return [] === ProofRun::left($case);
    }
}
