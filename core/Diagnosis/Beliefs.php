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
     * @param array<string, float> $sides        by side of the engine, the chance that at least one fault of it is there
     * @param list<string>         $seen         faults that somebody has looked at
     * @param list<Observation>    $observations the findings that stand, numbers apart
     */
    private function __construct(public array $priors, public array $now, public array $sides, public array $seen, public array $observations)
    {
    }

    public static function fromCase(FaultModel $model, CaseFile $case): self
    {
        $seen = self::seen($model, $case);
        $network = $model->network($case);
        $observations = self::observations($model, $case);
        $posterior = Inference::posterior($network->withSeen($seen), $observations);

        return new self(self::named($network->before()), self::named($posterior->beliefs), $posterior->sides, $seen, $observations);
    }

    /** Whether anything out of the ordinary was found that it would show; what its owner says is not found. */
    public function isLookedAt(string $fault): bool
    {
        foreach ($this->observations as $observation) {
            if (!str_starts_with($observation->test, 'claim.') && [0] !== $observation->places && $observation->concerns($fault)) {
                return true;
            }
        }

        return false;
    }

    /** @return array<string, float> how likely each fault of a machine is by its story alone, what brings it included */
    public static function before(FaultModel $model, CaseFile $case): array
    {
        return self::named($model->network($case)->before());
    }

    /**
     * @param array<string, float> $beliefs
     *
     * @return array<string, float> without the hidden causes
     */
    private static function named(array $beliefs): array
    {
        return array_filter($beliefs, static fn (string $fault): bool => !FaultModel::isHidden($fault), \ARRAY_FILTER_USE_KEY);
    }

    /** @return list<string> */
    private static function seen(FaultModel $model, CaseFile $case): array
    {
        $seen = [];
        foreach (array_keys($model->tests) as $test) {
            foreach ($case->standing($test)->outcomes ?? [] as $outcome) {
                $fault = $model->seenIn($test, $outcome);
                if (null !== $fault && !$case->putRightSince($test, $fault)) {
                    $seen[$fault] = true;
                }
            }
        }

        return array_keys($seen);
    }

    /** @return list<Observation> */
    private static function observations(FaultModel $model, CaseFile $case): array
    {
        $places = [];
        foreach ($model->tests as $test => $shows) {
            $finding = $case->standing($test);
            if (null === $finding || self::isOverruled($model, $test, $finding->outcomes[0] ?? '', $case)) {
                continue;
            }
            $places[$test] = array_values(array_filter(array_map(static fn (string $outcome): ?int => $shows->place($model->readAs($test, $outcome, $case)), $finding->outcomes), is_int(...)));
        }
        $observations = [];
        foreach (self::twinned($model, array_filter($places)) as $test => $held) {
            $shows = $model->tests[$test];
            $cured = array_filter(array_keys($shows->causes), static fn (string $fault): bool => $case->putRightSince($test, $fault));
            $observations[] = new Observation($test, $shows, $held, array_values($cured));
        }

        return $observations;
    }

    /** Whether findings have taken what somebody said apart: it is then no finding either. */
    private static function isOverruled(FaultModel $model, string $test, string $said, CaseFile $case): bool
    {
        $rule = $model->claims[$test][$said] ?? null;

        return null !== $rule && (new ClaimBelief($rule))->isContradicted($case);
    }

    /**
     * Of two cylinders the worse shows what there is, and the better whether both have it: what only one shows lies in
     * nothing they share.
     *
     * @param array<string, non-empty-list<int>> $places by test
     *
     * @return array<string, non-empty-list<int>>
     */
    private static function twinned(FaultModel $model, array $places): array
    {
        foreach ($model->twins() as $one => $other) {
            if (isset($places[$one], $places[$other])) {
                $both = [max($places[$one]), max($places[$other])];
                [$places[$one], $places[$other]] = [[max($both)], [min($both)]];
            }
        }

        return $places;
    }
}
