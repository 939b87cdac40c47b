<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

use AwakeShed\Core\Evidence\CaseFile;

/** How likely each fault of a machine is, before and after its findings. */
final readonly class Beliefs
{
    /**
     * @param array<string, float> $priors       by fault, before any finding
     * @param array<string, float> $now          by fault, with all that was found
     * @param list<Observation>    $observations the findings that stand, numbers apart
     */
    private function __construct(public array $priors, public array $now, public array $observations)
    {
    }

    public static function fromCase(FaultModel $model, CaseFile $case): self
    {
        $priors = $model->priors($case);
        $observations = self::observations($model, $case);

        return new self($priors, Inference::posterior($priors, $observations, $model->brings()), $observations);
    }

    /** @return list<Observation> */
    private static function observations(FaultModel $model, CaseFile $case): array
    {
        $observations = [];
        foreach ($model->tests as $test => $shows) {
            $finding = $case->standing($test);
            $places = array_values(array_filter(array_map($shows->place(...), $finding->outcomes ?? []), is_int(...)));
            if ([] !== $places) {
                $cured = array_filter(array_keys($shows->causes), static fn (string $fault): bool => $case->putRightSince($test, $fault));
                $observations[] = new Observation($test, $shows, $places, array_values($cured));
            }
        }

        return $observations;
    }
}
