<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Finding;

/**
 * How far a claim is still believed: what such claims are usually worth, and what the findings do to that.
 *
 * @phpstan-import-type ClaimRule from FaultModel
 */
final readonly class ClaimBelief
{
    /** @param ClaimRule $rule */
    public function __construct(private array $rule)
    {
    }

    /** From so much below what such claims are usually worth, findings speak against one. */
    private const CONTRADICTED = 0.7;

    /** Ethanol by volume, %, up to which fuel passes for each kind: pump fuel is sold as up to ten and up to fifteen (ASTM D4814), its jar good to two or three (from memory). */
    private const ETHANOL = ['ethanol_free' => 2.5, 'e10' => 12.5, 'e15' => 100.0];

    /** @return string|null what was measured, in the words of the claim it answers; null where nothing was */
    public static function measured(string $claim, CaseFile $case): ?string
    {
        $percent = 'claim.fuel_kind' === $claim ? $case->standing('jar.ethanol_percent')?->number : null;
        foreach (null === $percent ? [] : self::ETHANOL as $kind => $most) {
            if ($percent <= $most) {
                return $kind;
            }
        }

        return null;
    }

    /** @return float how much of its usual worth is left of it, 0 to 1 */
    public function standing(CaseFile $case): float
    {
        return min(1.0, $this->probability($case) / $this->rule['base']);
    }

    public function isContradicted(CaseFile $case): bool
    {
        return [] !== $this->against($case) && $this->standing($case) < self::CONTRADICTED;
    }

    public function probability(CaseFile $case): float
    {
        $odds = $this->rule['base'] / (1 - $this->rule['base']);
        foreach ($this->ratios($case) as $ratio) {
            $odds *= $ratio;
        }

        return $odds / (1 + $odds);
    }

    /** @return array<string, Finding> by test, what was found that speaks against it */
    public function against(CaseFile $case): array
    {
        $against = [];
        foreach (array_filter($this->ratios($case), static fn (float|int $ratio): bool => $ratio < 1) as $test => $_) {
            $finding = $case->standing($test);
            $against += null === $finding ? [] : [$test => $finding];
        }

        return $against;
    }

    /** @return array<string, float|int> by test, how many times likelier its finding is when the claim is true */
    private function ratios(CaseFile $case): array
    {
        $ratios = [];
        foreach ($this->rule['against'] ?? [] as $test => $outcomes) {
            foreach ($case->standing($test)->outcomes ?? [] as $outcome) {
                $ratios[$test] = ($ratios[$test] ?? 1) * ($outcomes[$outcome] ?? 1);
            }
        }
        foreach ([['above', 1], ['below', -1]] as [$side, $sign]) {
            foreach ($this->rule[$side] ?? [] as $test => [$limit, $ratio]) {
                $number = $case->standing($test)?->number;
                if (null !== $number && $sign * ($number - $limit) > 0) {
                    $ratios[$test] = ($ratios[$test] ?? 1) * $ratio;
                }
            }
        }

        return $ratios;
    }
}
