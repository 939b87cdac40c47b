<?php

declare(strict_types=1);

namespace AwakeShed\Core\Money;

use AwakeShed\Core\Diagnosis\Cures;
use AwakeShed\Core\Evidence\CaseFile;

/** What a quote reckons with: of what was worked on already certainty, of what went with it nothing more, of the rest what is believed now. */
final readonly class Chances
{
    private function __construct()
    {
    }

    /**
     * @param array<string, float> $beliefs by fault
     *
     * @return array<string, float> by fault, 0 to 1
     */
    public static function of(CaseFile $case, array $beliefs, Cures $cures): array
    {
        $worked = array_fill_keys(WorkTime::worked($case, $cures), true);
        foreach ($beliefs as $fault => $chance) {
            $beliefs[$fault] = match (true) {
                isset($worked[$fault]) => 1.0,
                $case->wasPutRight($fault) => 0.0,
                default => min(1.0, max(0.0, $chance)),
            };
        }

        return $beliefs;
    }
}
