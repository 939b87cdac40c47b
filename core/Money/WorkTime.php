<?php

declare(strict_types=1);

namespace AwakeShed\Core\Money;

use AwakeShed\Core\Diagnosis\Cures;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Units\Duration;
use AwakeShed\Core\Units\DurationUnit;

/** How long what stands in a record takes by hand: its looks by the vocabulary, its cures by the middle of their times. What somebody clocked is better. */
final readonly class WorkTime
{
    /** Looking it over rules out what it finds in order: that is no cure. */
    private const LOOKED_OVER = ['carburetor.checked'];

    private function __construct()
    {
    }

    /**
     * The faults whose cure was work: those said to be put right, and of an act that rules several out the longest, for it
     * is one piece of work whatever it rules out.
     *
     * @return list<string>
     */
    public static function worked(CaseFile $case, Cures $cures): array
    {
        $worked = [];
        foreach ($case->events as $event) {
            if ($event instanceof PutRight) {
                $worked[] = $event->fault;
            } elseif ($event instanceof Done && !\in_array($event->act->id, self::LOOKED_OVER, true) && [] !== $event->act->putsRight) {
                $faults = $event->act->putsRight;
                usort($faults, static fn (string $one, string $other): int => array_sum($cures->minutes($other)) <=> array_sum($cures->minutes($one)));
                $worked[] = $faults[0];
            }
        }

        return array_values(array_unique($worked));
    }

    public static function of(CaseFile $case, Vocabulary $vocabulary, Cures $cures): Duration
    {
        $minutes = 0.0;
        foreach ($case->events as $event) {
            $minutes += $event instanceof Finding && !$event->isClaim() ? $vocabulary->tests[$event->test]->minutes ?? 0.0 : 0.0;
        }
        foreach ($cures->grouped(self::worked($case, $cures)) as $group) {
            foreach ($group as $place => $fault) {
                $minutes += array_sum($cures->minutes($fault)) / 2 * (0 === $place ? 1.0 : $cures->beside);
            }
        }

        return Duration::of($minutes, DurationUnit::Minute);
    }
}
