<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Progress;

use AwakeShed\Core\Diagnosis\Assessor;
use AwakeShed\Core\Diagnosis\FaultModel;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Gate\Closures;
use AwakeShed\Core\Gate\Gatekeeper;
use AwakeShed\Core\Gate\GateWalk;
use AwakeShed\Core\Progress\Progress;
use AwakeShed\Core\Progress\Progression;
use AwakeShed\Core\Stage\Act;
use AwakeShed\Core\Stage\StagePlan;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A proved machine that is laid up here goes home: what laying up empties and shuts is no fault of it. */
final class LaidUpTest extends TestCase
{
    private const SOUND = [
        'look.oil_level' => 'at_mark', 'look.oil_smell' => 'none', 'look.oil_body' => 'normal', 'look.oil_colour' => 'clean', 'look.air_filter' => 'clean', 'look.blade' => 'true', 'look.controls' => 'free', 'pump.state' => 'turns', 'gate.water_supply' => 'on', 'feel.pull' => 'normal',
        'jar.tank' => 'clear_one_layer', 'jar.smell' => 'fresh', 'start.plain' => 'runs', 'run.steady' => 'steady', 'run.choke_off' => 'steady', 'run.load' => 'holds', 'run.minutes_later' => 'keeps_running',
    ];

    /** @return iterable<string, array{MachineKind, string}> */
    public static function schools(): iterable
    {
        foreach (MachineKind::cases() as $kind) {
            foreach (['run_dry', 'full_and_stabilised', 'ethanol_free', 'oil_in_tank'] as $school) {
                yield $kind->value.', '.$school => [$kind, $school];
            }
        }
    }

    #[DataProvider('schools')]
    public function testItIsFitToGoHomeBeforeAndAfter(MachineKind $kind, string $school): void
    {
        $vocabulary = Vocabulary::shipped();
        $gatekeeper = new Gatekeeper($vocabulary, Closures::shipped());
        $plan = StagePlan::shipped($vocabulary, $gatekeeper);
        $progression = new Progression($vocabulary, $gatekeeper, GateWalk::shipped($vocabulary, $gatekeeper));
        $case = new CaseFile(new MachineFacts($kind), [], ['layup' => $school]);
        foreach (self::SOUND as $test => $outcome) {
            $case = $vocabulary->applies($test, $case->machine) ? $case->with(Finding::observed($test, $outcome)) : $case;
        }
        $stand = static fn (CaseFile $case): Progress => $progression->standOf($case, (new Assessor(FaultModel::shipped(), $vocabulary, $gatekeeper))->assess($case))->progress;
        self::assertSame(Progress::FitToGoHome, $stand($case));
        foreach ($plan->stateOfStage('layup', $case, [])->steps as $state) {
            $choice = $state->step->choices[0] ?? null;
            foreach ($plan->told(new Act($state->step->id, [], $choice)) as $done) {
                self::assertInstanceOf(Done::class, $done);
                $case = $case->with($done);
            }
        }
        self::assertSame(Progress::FitToGoHome, $stand($case));
    }
}
