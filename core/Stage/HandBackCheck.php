<?php

declare(strict_types=1);

namespace AwakeShed\Core\Stage;

use AwakeShed\Core\Evidence\CaseFile;

/**
 * What keeps a machine from going home: liquid was in the cylinder or gas in the oil, and its way in is not known, or is
 * the needle and the needle is not put right (common practice: else it returns).
 */
final readonly class HandBackCheck
{
    private const LIQUID = ['look.oil_smell' => ['gas'], 'look.oil_body' => ['thin'], 'pull.ejecta' => ['gas', 'oil', 'mixture']];

    private function __construct()
    {
    }

    /**
     * @param list<Act> $acts
     *
     * @return "cause_unknown"|"needle"|null null where it may go
     */
    public static function hindrance(CaseFile $case, array $acts): ?string
    {
        $isNeedleRight = $case->wasPutRight('carb.needle_leaks') || true === $case->standing('needle.pressure')?->saysAnyOf(['holds']);
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
