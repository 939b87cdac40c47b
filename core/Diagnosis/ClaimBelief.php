<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

use AwakeShed\Core\Evidence\CaseFile;

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

    public function probability(CaseFile $case): float
    {
        $odds = $this->rule['base'] / (1 - $this->rule['base']);
        foreach ($this->ratios($case) as $ratio) {
            $odds *= $ratio;
        }

        return $odds / (1 + $odds);
    }

    /** @return list<string> tests whose findings speak against it */
    public function against(CaseFile $case): array
    {
        return array_keys(array_filter($this->ratios($case), static fn (float|int $ratio): bool => $ratio < 1));
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
