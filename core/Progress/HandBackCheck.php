<?php

declare(strict_types=1);

namespace AwakeShed\Core\Progress;

use AwakeShed\Core\Carburetor\PartsLedger;
use AwakeShed\Core\Diagnosis\Assessment;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Gate\Gatekeeper;
use AwakeShed\Core\Stage\Act;
use AwakeShed\Core\Stage\StagePlan;

/** Looks a machine over before it goes home. */
final readonly class HandBackCheck
{
    private const LIQUID = ['look.oil_smell' => ['gas'], 'look.oil_body' => ['thin'], 'pull.ejecta' => ['gas', 'oil', 'mixture']];

    public function __construct(private Gatekeeper $gatekeeper, private Unproved $unproved, private Asks $asks)
    {
    }

    /** @param list<Act> $acts */
    public function lookOver(CaseFile $case, array $acts, PartsLedger $bench, Assessment $assessment): HandBack
    {
        return new HandBack(
            array_map(static fn ($hold): string => $hold->id, $this->gatekeeper->standingHolds($case)),
            'drained' === $case->state->stateOf('crankcase'),
            self::cause($case, $acts),
            array_values(array_unique(array_merge([], ...array_map(static fn ($closure): array => $closure->until, $this->gatekeeper->closures($case))))),
            $this->unproved->left($case, $assessment),
            ProofRun::left($case),
            [...$this->asks->raised($case), ...$this->asks->atTheBench($bench)],
        );
    }

    /**
     * Liquid was in the cylinder or gas in the oil, and its way in is not known, or is the needle and the needle is not put
     * right (common practice: else it returns).
     *
     * @param list<Act> $acts
     *
     * @return "cause_unknown"|"needle"|null null where it may go
     */
    public static function cause(CaseFile $case, array $acts): ?string
    {
        $isNeedleRight = $case->wasPutRight('carb.needle_leaks') || $case->says(['needle.pressure' => ['holds']]);
        if ($isNeedleRight || !$case->everSaid(self::LIQUID)) {
            return null;
        }
        $causes = array_column(array_filter($acts, static fn (Act $act): bool => StagePlan::CAUSE === $act->step), 'choice');

        return match ([] === $causes ? null : $causes[\count($causes) - 1]) {
            null => 'cause_unknown',
            'needle' => 'needle',
            default => null,
        };
    }
}
