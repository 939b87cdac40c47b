<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\PutRight;

/** What is left until a machine is proved: it starts, runs steady with the choke off, holds a load and goes on (common practice). */
final readonly class ProofRun
{
    private const GOOD = ['start.plain' => 'runs', 'run.steady' => 'steady', 'run.choke_off' => 'steady', 'run.load' => 'holds', 'run.minutes_later' => 'keeps_running'];

    /** @return list<string> the tests still to be passed, or to be passed again since something was put right */
    public static function left(CaseFile $case): array
    {
        $cured = array_map(static fn (PutRight $cure): string => $cure->fault, array_values(array_filter($case->events, static fn (object $event): bool => $event instanceof PutRight)));
        $left = [];
        foreach (self::GOOD as $test => $good) {
            $standing = $case->standing($test);
            if (null === $standing || [$good] !== $standing->outcomes || $case->putRightSince($test, ...$cured)) {
                $left[] = $test;
            }
        }

        return $left;
    }
}
