<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Diagnosis;

use AwakeShed\Core\Diagnosis\Assessment;
use AwakeShed\Core\Diagnosis\Assessor;
use AwakeShed\Core\Diagnosis\FaultModel;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Gate\Closures;
use AwakeShed\Core\Gate\Gatekeeper;

/** Cases for the diagnosis, put together and assessed in a line. */
final readonly class Assessing
{
    public const GATES = ['look.oil_level' => 'at_mark', 'look.oil_smell' => 'none', 'look.oil_body' => 'normal', 'look.air_filter' => 'dusty', 'feel.pull' => 'normal'];

    /** @param array<string, string|int> $findings */
    public static function of(array $findings, string|MachineFacts $machine, PutRight|Done ...$then): Assessment
    {
        return self::assessor()->assess(self::case($findings, $machine, ...$then));
    }

    /** One for all that is assessed: tables that are read for each case took a fifth of the core's tests. */
    public static function assessor(): Assessor
    {
        /** @var Assessor|null $assessor */
        static $assessor = null;

        return $assessor ??= new Assessor(FaultModel::shipped(), self::vocabulary(), new Gatekeeper(self::vocabulary(), Closures::shipped()));
    }

    private static function vocabulary(): Vocabulary
    {
        /** @var Vocabulary|null $vocabulary */
        static $vocabulary = null;

        return $vocabulary ??= Vocabulary::shipped();
    }

    /** @param array<string, string|int> $findings */
    public static function case(array $findings, string|MachineFacts $machine, PutRight|Done ...$then): CaseFile
    {
        $events = [];
        $vocabulary = self::vocabulary();
        foreach ($findings as $test => $outcome) {
            $event = \is_int($outcome) ? Finding::number($test, $outcome) : Finding::observed($test, $outcome);
            $vocabulary->check($event);
            $events[] = $event;
        }

        return new CaseFile(\is_string($machine) ? new MachineFacts(MachineKind::from($machine)) : $machine, [...$events, ...array_values($then)]);
    }
}
