<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Schedule\Day;

use AwakeShed\Core\Diagnosis\Assessor;
use AwakeShed\Core\Diagnosis\Cures;
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
use AwakeShed\Core\Progress\Progression;
use AwakeShed\Core\Schedule\Day\Piece;
use AwakeShed\Core\Schedule\Day\PieceKinds;
use AwakeShed\Core\Schedule\Day\RemainingWork;
use AwakeShed\Core\Stage\Act;
use AwakeShed\Core\Stage\StagePlan;
use AwakeShed\Tests\Core\Diagnosis\Assessing;
use AwakeShed\Tests\Core\Diagnosis\CoursesTest;
use AwakeShed\Tests\Kept;
use PHPUnit\Framework\TestCase;

final class RemainingWorkTest extends TestCase
{
    private const PASSED = ['look.oil_level' => 'at_mark', 'look.oil_smell' => 'none', 'look.oil_body' => 'normal', 'look.oil_colour' => 'dark', 'look.air_filter' => 'clean', 'look.blade' => 'true', 'look.controls' => 'free', 'feel.pull' => 'normal'];

    public function testWhatNobodyHasLookedAtHasAllOfItAhead(): void
    {
        self::assertSame(['gates', 'fuel', 'settle', 'cause', 'first_run', 'proof', 'hand_over'], self::certain(self::left()));
    }

    public function testWhatIsSeenIsNotLookedAtAgain(): void
    {
        $one = self::left(['look.oil_level' => 'at_mark']);
        $all = self::left(self::PASSED);

        self::assertLessThan(self::minutes(self::left(), 'gates'), self::minutes($one, 'gates'));
        self::assertSame(0, self::minutes($all, 'gates'));
    }

    public function testGasInTheOilIsDrainedAndDrainedHotAfterTheRun(): void
    {
        $kinds = self::certain(self::left(['look.oil_smell' => 'gas', 'look.oil_level' => 'far_over']));

        self::assertContains('flush', $kinds);
        self::assertLessThan(array_search('first_run', $kinds, true), array_search('flush', $kinds, true));
        self::assertSame('oil_hot', $kinds[(int) array_search('first_run', $kinds, true) + 1]);
    }

    public function testWhatIsProvedIsOnlyHandedOver(): void
    {
        $proved = self::PASSED + ['jar.tank' => 'clear_one_layer', 'jar.smell' => 'fresh', 'start.plain' => 'runs', 'run.steady' => 'steady', 'run.choke_off' => 'steady', 'run.load' => 'holds', 'run.minutes_later' => 'keeps_running'];

        self::assertSame(['hand_over'], array_map(static fn (Piece $piece): string => $piece->kind, self::left($proved)));
        self::assertSame(['fuel', 'proof', 'hand_over'], self::certain(self::left(array_diff_key($proved, ['run.minutes_later' => true]))));
    }

    public function testALockedOneIsFreedBeforeAnythingRuns(): void
    {
        $kinds = self::certain(self::left(['feel.pull' => 'locked']));

        self::assertLessThan(array_search('first_run', $kinds, true), array_search('locked', $kinds, true));
    }

    public function testACarburetorThatIsOffIsBathedAndRefitted(): void
    {
        $case = self::case(self::PASSED)->with(new Done(self::vocabulary()->acts['carburetor.off']));

        self::assertSame(['bath', 'refit'], array_values(array_intersect(self::certain(self::of($case)), ['strip', 'bath', 'refit'])));
    }

    public function testABowlThatIsOffIsBathedAndRefittedAsWell(): void
    {
        $case = self::case(self::PASSED)->with(new Done(self::vocabulary()->acts['bowl.off']));

        self::assertSame(['bath', 'refit'], array_values(array_intersect(self::certain(self::of($case)), ['strip', 'bath', 'refit'])));
        self::assertSame([], array_values(array_intersect(self::certain(self::of(self::case(self::PASSED))), ['strip', 'bath', 'refit'])));
    }

    public function testWhatALikelyCureTakesIsPlannedAsLikely(): void
    {
        $left = self::left([...self::PASSED, 'jar.tank' => 'clear_one_layer', 'jar.smell' => 'fresh', 'flow.line' => 'pours', 'spark.tester' => 'strong', 'start.plain' => 'nothing', 'start.bypass' => 'runs_while_fed']);
        $strip = array_values(array_filter($left, static fn (Piece $piece): bool => 'strip' === $piece->kind));

        self::assertCount(1, $strip);
        self::assertTrue($strip[0]->isLikely);
        $weak = self::left([...self::PASSED, 'jar.tank' => 'clear_one_layer', 'jar.smell' => 'fresh', 'spark.tester' => 'none', 'start.plain' => 'nothing']);
        self::assertSame([], array_filter($weak, static fn (Piece $piece): bool => 'strip' === $piece->kind));
    }

    public function testAColdStartStandsAsLongAsItsSchoolSays(): void
    {
        $hours = static fn (string $school, Act ...$acts): int => intdiv(self::minutes(self::of(self::case([], ['cold_start' => $school]), array_values($acts)), 'stands_cold'), 60);

        self::assertSame(8, $hours('pulls_2_hours_8'));
        self::assertSame(24, $hours('pulls_2_hours_24'));
        self::assertSame(0, $hours('pulls_2_hours_8', new Act('prove.overnight')));
    }

    public function testEveryPieceIsThereOnceWithItsTimes(): void
    {
        $kinds = PieceKinds::shipped();
        self::assertSame('from memory', $kinds->source);
        foreach ($kinds->kinds as $kind) {
            self::assertGreaterThan(0, $kind->minutes, $kind->id);
            self::assertTrue($kind->spread >= 0.0 && $kind->spread <= 0.8, $kind->id);
        }
        // What waits by itself takes what it takes.
        self::assertSame(['settle', 'bath', 'stands_cold'], array_keys(array_filter($kinds->kinds, static fn ($kind): bool => 0.0 === $kind->spread)));
        self::assertSame(['first_run', 'proof'], array_keys(array_filter($kinds->kinds, static fn ($kind): bool => ['pad'] === $kind->uses)));
    }

    /** Minutes piece by piece, of every usual course as it stands. */
    public function testWhatIsLeftOfEveryCourse(): void
    {
        $lines = [];
        foreach ([...CoursesTest::courses(), ...CoursesTest::coursesBeyondTheEngine()] as $name => [$findings, , $kind]) {
            $left = self::of(Assessing::case($findings, $kind), [new Act('flush.drain'), new Act('prove.warm_up')]);
            $lines[] = "$name: ".implode(', ', array_map(static fn (Piece $piece): string => "$piece->kind $piece->minutes".($piece->isLikely ? ' likely' : ''), $left));
        }
        Kept::is(__DIR__.'/../../Kept/work-left.txt', $lines);
    }

    /**
     * @param array<string, string> $found
     *
     * @return list<Piece>
     */
    private static function left(array $found = []): array
    {
        return self::of(self::case($found));
    }

    /**
     * @param array<string, string> $found
     * @param array<string, string> $schools
     */
    private static function case(array $found, array $schools = ['cold_start' => 'not_asked']): CaseFile
    {
        return new CaseFile(new MachineFacts(MachineKind::Mower), array_map(Finding::observed(...), array_keys($found), $found), $schools);
    }

    /**
     * @param list<Act> $acts
     *
     * @return list<Piece>
     */
    private static function of(CaseFile $case, array $acts = []): array
    {
        $vocabulary = self::vocabulary();
        $gatekeeper = new Gatekeeper($vocabulary, Closures::shipped());
        $walk = GateWalk::shipped($vocabulary, $gatekeeper);
        $assessment = (new Assessor(FaultModel::shipped(), $vocabulary, $gatekeeper))->assess($case);

        return (new RemainingWork(PieceKinds::shipped(), StagePlan::shipped($vocabulary, $gatekeeper), $walk, $vocabulary, Cures::shipped()))
            ->of($case, $acts, (new Progression($vocabulary, $gatekeeper, $walk))->standOf($case, $assessment), $assessment);
    }

    private static function vocabulary(): Vocabulary
    {
        return Vocabulary::shipped();
    }

    /**
     * @param list<Piece> $pieces
     *
     * @return list<string>
     */
    private static function certain(array $pieces): array
    {
        return array_values(array_map(static fn (Piece $piece): string => $piece->kind, array_filter($pieces, static fn (Piece $piece): bool => !$piece->isLikely)));
    }

    /** @param list<Piece> $pieces */
    private static function minutes(array $pieces, string $kind): int
    {
        return array_sum(array_map(static fn (Piece $piece): int => $piece->kind === $kind ? $piece->minutes : 0, $pieces));
    }
}
