<?php

declare(strict_types=1);

namespace AwakeShed\Core\Money;

use AwakeShed\Core\Diagnosis\Cures;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Units\Duration;
use AwakeShed\Core\Units\DurationUnit;

/** How long what stands in a record takes by hand: its looks by the vocabulary, its cures by the middle of their times. What somebody clocked is better. */
final readonly class WorkTime
{
    private function __construct()
    {
    }

    public static function of(CaseFile $case, Vocabulary $vocabulary, Cures $cures): Duration
    {
        $minutes = 0.0;
        foreach ($case->events as $event) {
            $minutes += $event instanceof Finding && !$event->isClaim() ? $vocabulary->tests[$event->test]->minutes ?? 0.0 : 0.0;
        }
        foreach ($cures->grouped($case->cured()) as $group) {
            foreach ($group as $place => $fault) {
                $minutes += array_sum($cures->minutes($fault)) / 2 * (0 === $place ? 1.0 : $cures->beside);
            }
        }

        return Duration::of($minutes, DurationUnit::Minute);
    }
}
