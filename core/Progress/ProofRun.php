<?php

declare(strict_types=1);

namespace AwakeShed\Core\Progress;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\ChokeKind;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\PutRight;

/** What is left until a machine is proved: it starts, runs steady with the choke off, holds a load and goes on (common practice). */
final readonly class ProofRun
{
    private const GOOD = ['start.plain' => 'runs', 'run.steady' => 'steady', 'run.choke_off' => 'steady', 'run.load' => 'holds', 'run.minutes_later' => 'keeps_running'];

    /** Things that are filled, charged or put back without the engine having to prove itself again. */
    private const NO_WORK = ['tank', 'crankcase', 'air_filter', 'air_filter_foam', 'battery', 'cap', 'cooling', 'belt_area'];

    /** @return list<string> the tests still to be passed, or to be passed again since something was put right */
    public static function left(CaseFile $case): array
    {
        $left = [];
        foreach (self::GOOD as $test => $good) {
            if ('run.choke_off' === $test && ChokeKind::None === $case->machine->choke) {
                continue;
            }
            if ([$good] !== $case->standing($test)?->outcomes || $case->foundAt($test) < self::lastWork($case)) {
                $left[] = $test;
            }
        }

        return $left;
    }

    /** Whether the engine has run, and nothing was put right since. */
    public static function hasRun(CaseFile $case): bool
    {
        return true === $case->standing('start.plain')?->saysAnyOf(['runs']) && $case->foundAt('start.plain') > self::lastWork($case);
    }

    /** @return int the place among the events of the last work on the engine after which it has to show again that it runs; -1 when there was none */
    private static function lastWork(CaseFile $case): int
    {
        $last = -1;
        foreach ($case->events as $place => $event) {
            if ($event instanceof PutRight || ($event instanceof Done && !LookBack::wasEarlier($event) && [] !== $event->act->putsRight && !\in_array($event->act->thing, self::NO_WORK, true))) {
                $last = $place;
            }
        }

        return $last;
    }
}
