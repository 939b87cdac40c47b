<?php

declare(strict_types=1);

namespace AwakeShed\Core\Progress;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\ChokeKind;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\MachineState;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Core\Proving\Attempt;
use AwakeShed\Core\Proving\ColdStart;

/** What is left until a machine is proved: it starts, runs steady with the choke off, holds a load and goes on (common practice). */
final readonly class ProofRun
{
    private const GOOD = ['start.plain' => ['runs'], 'run.steady' => ['steady', 'surges_cold_then_settles'], 'run.choke_off' => ['steady'], 'run.load' => ['holds'], 'run.minutes_later' => ['keeps_running']];

    /** Things that are filled, charged or put back without the engine having to prove itself again. */
    private const NO_WORK = ['tank', 'crankcase', 'air_filter', 'air_filter_foam', 'battery', 'cap', 'cooling', 'belt_area'];

    /** @return list<string> the tests still to be passed, or to be passed again since something was put right */
    public static function left(CaseFile $case): array
    {
        $left = [];
        foreach (array_keys(self::GOOD) as $test) {
            if ('run.choke_off' === $test && ChokeKind::None === $case->machine->choke) {
                continue;
            }
            if (!self::isGood($case, $test) || $case->foundAt($test) < self::lastWork($case)) {
                $left[] = $test;
            }
        }
        // Whatever else is shown: it stands till it is cold, and is started as its owner will.
        if (!\in_array(Attempt::TEST, $left, true) && false === self::coldStart($case)?->isMet) {
            $left[] = Attempt::TEST;
        }

        return $left;
    }

    /** @return list<string> the tests left that were made and showed something else than they should */
    public static function failed(CaseFile $case): array
    {
        return array_values(array_filter(self::left($case), static fn (string $test): bool => null !== $case->standing($test) && !self::isGood($case, $test) && !$case->putRightSince($test, ...$case->cured())));
    }

    /** How it starts from cold against what the shop wants of it; null where nothing is wanted. */
    public static function coldStart(CaseFile $case): ?ColdStart
    {
        return ColdStart::of($case, self::lastWork($case));
    }

    private static function isGood(CaseFile $case, string $test): bool
    {
        $found = $case->standing($test)->outcomes ?? [];

        return [] !== $found && [] === array_diff($found, self::GOOD[$test]);
    }

    /** Whether the engine has run, and nothing was put right since. */
    public static function hasRun(CaseFile $case): bool
    {
        return true === $case->standing('start.plain')?->saysAnyOf(['runs']) && $case->foundAt('start.plain') > self::lastWork($case);
    }

    /** @return int the place among the events of the last work on the engine after which it has to show again that it runs; MachineState::NEVER when there was none */
    private static function lastWork(CaseFile $case): int
    {
        $last = MachineState::NEVER;
        foreach ($case->events as $place => $event) {
            if ($event instanceof PutRight || ($event instanceof Done && !LookBack::wasEarlier($event) && [] !== $event->act->putsRight && !\in_array($event->act->thing, self::NO_WORK, true))) {
                $last = $place;
            }
        }

        return $last;
    }
}
