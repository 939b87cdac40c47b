<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Stage;

use AwakeShed\App\Wait\WaitKind;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Feed;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Fuel\WasteStream;
use AwakeShed\Core\Gate\Closures;
use AwakeShed\Core\Gate\Gatekeeper;
use AwakeShed\Core\Progress\HandBackCheck;
use AwakeShed\Core\Stage\Act;
use AwakeShed\Core\Stage\ImpossibleAct;
use AwakeShed\Core\Stage\StagePlan;
use AwakeShed\Core\Stage\StageState;
use AwakeShed\Core\Stage\StepState;
use AwakeShed\Tests\Core\Diagnosis\Assessing;
use AwakeShed\Tests\Core\Diagnosis\CoursesTest;
use AwakeShed\Tests\Kept;
use AwakeShed\Tests\Seeded;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class StagePlanTest extends TestCase
{
    public function testEveryStepNamesThingsThatAre(): void
    {
        $vocabulary = Vocabulary::shipped();
        $work = self::work();
        $seen = [];
        foreach ($work->stages() as $stage) {
            foreach ($stage->steps as $step) {
                self::assertArrayNotHasKey($step->id, $seen, 'a step has one place');
                $seen[$step->id] = true;
                self::assertStringStartsWith($stage->id.'.', $step->id);
                self::assertSame($step, $work->step($step->id));
                self::assertSame(1, (int) (null !== $step->test) + (int) (null !== $step->cure) + (int) $step->isNote + (int) $step->isAct(), "$step->id is one thing");
                foreach (array_filter([$step->test, $step->as], is_string(...)) as $test) {
                    $vocabulary->test($test);
                }
                if (null !== $step->cure) {
                    $vocabulary->checkFault($step->cure);
                }
                foreach ($step->after as $rule) {
                    $work->step($rule['step']);
                    $this->checkWhen($rule['when'] ?? [], $vocabulary);
                }
                $this->checkWhen($step->when ?? [], $vocabulary);
                foreach ($step->needs as $anyOf) {
                    $this->checkWhen($anyOf, $vocabulary);
                }
                $this->checkWhen(null === $step->wants ? [] : [(string) $step->test => $step->wants], $vocabulary);
                foreach ($step->schools as $question => $schools) {
                    self::assertSame([], array_diff($schools, $vocabulary->schools[$question]), $step->id);
                }
                self::assertNotNull(null === $step->waste ? '' : WasteStream::tryFrom($step->waste), $step->id);
                self::assertNotNull(null === $step->wait ? '' : WaitKind::tryFrom($step->wait['kind']), $step->id);
            }
            $this->checkWhen($stage->when ?? [], $vocabulary);
        }
        self::assertGreaterThan(60, \count($seen));
    }

    /** What every fifth usual course calls for: stages, their steps, what is done, what comes first and what is closed. */
    public function testWhatCoursesCallFor(): void
    {
        $lines = [];
        $courses = [...CoursesTest::courses(), ...CoursesTest::coursesBeyondTheEngine()];
        foreach (array_filter(array_keys($courses), static fn (int $number): bool => 0 === $number % 5, \ARRAY_FILTER_USE_KEY) as $name) {
            [$findings, , $kind] = $courses[$name];
            foreach (self::work()->states(Assessing::case($findings, $kind), [new Act('flush.drain', ['ml' => 900.0]), new Act('fuel.drain', ['ml' => 1200.0])]) as $stage) {
                $steps = array_map(static fn (StepState $state): string => $state->step->id.($state->isDone ? ' done' : '').([] === $state->first ? '' : ' after '.implode(' ', $state->first)).($state->isClosed() ? ' closed' : ''), $stage->steps);
                $lines[] = "$name, {$stage->stage->id}, ".($stage->isNeeded ? 'called for' : 'not called for').", {$stage->done()} of {$stage->asked()}: ".implode('; ', $steps);
            }
        }
        Kept::is(__DIR__.'/../Kept/stages-of-courses.txt', $lines);
    }

    public function testGasInTheOilIsDrainedBeforeThePlugComesOut(): void
    {
        $case = self::case(['look.oil_level' => 'far_over', 'look.oil_smell' => 'gas', 'feel.pull' => 'locked']);
        self::assertSame(['flush.drain'], self::state($case, [], 'locked.plug_out')->first);
        self::assertFalse(self::state($case, [new Act('flush.drain', ['ml' => 900])], 'locked.plug_out')->isClosed());
        $clean = self::case(['look.oil_level' => 'at_mark', 'look.oil_smell' => 'none', 'feel.pull' => 'locked']);
        self::assertSame([], self::state($clean, [], 'locked.plug_out')->first, 'clean oil need not be drained first');
    }

    public function testThePullsGoOnUntilNothingComes(): void
    {
        $case = self::case(['look.oil_level' => 'at_mark', 'feel.pull' => 'locked', 'pull.plug_out' => 'free', 'pull.ejecta' => 'oil']);
        $pull = static fn (float $ml): Act => new Act(StagePlan::PULL, ['thrown_ml' => $ml]);
        self::assertFalse(self::state($case, [$pull(20), $pull(6)], StagePlan::PULL)->isDone);
        self::assertFalse(self::state($case, [$pull(20), $pull(0)], StagePlan::PULL)->isDone, 'three pulls at least');
        self::assertTrue(self::state($case, [$pull(20), $pull(6), $pull(0)], StagePlan::PULL)->isDone);
        self::assertSame([StagePlan::PULL], self::state($case, [$pull(20)], 'locked.clear_oil')->first, 'it is not cleared before it is dry');
        self::assertSame(26.0, StagePlan::pulls([$pull(20), $pull(6), new Act('flush.drain', ['ml' => 5])])->thrown()->inMillilitres());
    }

    public function testTheChokeIsNotAskedOfWhatRunsSteadyAnyway(): void
    {
        $asked = static fn (Act ...$acts): bool => \in_array('prove.choke_helps', array_map(static fn (StepState $one): string => $one->step->id, self::stage(self::case([]), array_values($acts), 'prove')->steps), true);
        $after = static fn (string $choice): Act => new Act('prove.after_5', choice: $choice);

        self::assertTrue($asked());
        self::assertTrue($asked($after('surges')));
        self::assertFalse($asked($after('surges'), $after('steady')), 'what was said last');
        self::assertTrue($asked($after('steady'), $after('surges')));
    }

    public function testALookAgainIsDoneByWhatItFindsAfterwards(): void
    {
        $case = self::case(['look.oil_level' => 'far_over', 'look.oil_smell' => 'gas']);
        $acts = [new Act('flush.drain', ['ml' => 900]), new Act('flush.fill_1', ['ml' => 550])];
        self::assertFalse(self::state($case, $acts, 'flush.level')->isDone);
        $cured = $case->with(new PutRight('oil.gas_in_oil'))->with(Finding::observed('look.oil_level', 'at_mark'));
        self::assertTrue(self::state($cured, $acts, 'flush.level')->isDone);
        self::assertFalse(self::state($cured, $acts, 'flush.smell')->isDone, 'the smell still is what it was');
        self::assertFalse(self::state($cured, [], 'flush.level')->isDone, 'nothing was drained');
    }

    public function testTheFirstRunPassesTheGatesOfAStart(): void
    {
        $acts = [new Act('flush.drain', ['ml' => 900]), new Act('flush.fill_1', ['ml' => 550])];
        $case = self::case(['look.oil_level' => 'far_over', 'look.oil_smell' => 'gas', 'look.air_filter' => 'clean']);
        self::assertNotSame([], self::state($case, $acts, 'flush.run_1')->blockers);
        foreach (['look.oil_level' => 'at_mark', 'look.oil_smell' => 'none', 'look.oil_body' => 'normal', 'feel.pull' => 'normal'] as $test => $outcome) {
            $case = ($case->wasPutRight('oil.gas_in_oil') ? $case : $case->with(new PutRight('oil.gas_in_oil')))->with(Finding::observed($test, $outcome));
        }
        self::assertTrue(self::state($case, $acts, 'flush.run_1')->isOpen());
    }

    /** Parts that are of one piece with the body are not renewed, whichever of the two is said first. */
    public function testWhatCannotBothBeSoIsRefused(): void
    {
        $new = new Act('needle.fitted', choice: 'both_new');
        foreach (['needle.way_round', 'needle.bore'] as $step) {
            $fixed = new Act($step, choice: 'not_replaceable');
            foreach ([[$fixed, [$new]], [$new, [$fixed]], [$new, [new Act($step, choice: 'other'), $fixed]]] as [$act, $before]) {
                try {
                    StagePlan::demandNoContradiction($act, $before);
                    self::fail("$step and both new were taken.");
                } catch (ImpossibleAct $refusal) {
                    self::assertSame(['act.contradicts', [$step, 'needle.fitted']], [$refusal->reason(), array_values(array_unique([...$act === $new ? array_reverse($refusal->figures()) : $refusal->figures()]))]);
                }
            }
            StagePlan::demandNoContradiction($new, [$fixed, new Act($step, choice: 'other')]);
            StagePlan::demandNoContradiction($new, [new Act('needle.move', choice: 'not_replaceable')]);
            StagePlan::demandNoContradiction(new Act('needle.fitted', choice: 'needle_only'), [$fixed]);
            StagePlan::demandNoContradiction(new Act($step, choice: 'other'), [$new]);
        }
    }

    public function testAStepIsFoundByItsTestOrByTheActThatItIs(): void
    {
        self::assertSame('fuel.jar', self::work()->stepFor('jar.tank')?->id);
        self::assertSame('flush.drain', self::work()->stepFor('crankcase.drained')?->id);
        self::assertNull(self::work()->stepFor('claim.idle_months'));
        foreach (self::work()->stages() as $stage) {
            foreach ($stage->steps as $step) {
                // One that is asked of some machines only is nobody's way to go.
                self::assertNotSame($step, null === $step->when ? null : self::work()->stepFor($step->test ?? $step->id));
            }
        }
    }

    public function testDrainedToItsMarkItIsNotFlushed(): void
    {
        $case = new CaseFile(new MachineFacts(MachineKind::Mower));
        $drained = $case->with(new Done(Vocabulary::shipped()->act('crankcase.drained_to_mark')));
        $away = $case->with(new Done(Vocabulary::shipped()->act('crankcase.drained')));
        foreach (['flush.drain' => [true, false, true], 'flush.fill_1' => [true, false, true], 'flush.drain_hot' => [true, false, true]] as $step => $called) {
            self::assertSame($called, array_map(static fn (CaseFile $one): bool => self::work()->step($step)->isCalledFor($one), [$case, $drained, $away]), $step);
        }
        $over = static fn (CaseFile $one): bool => self::work()->step('flush.overfill')->isCalledFor(new CaseFile($one->machine, [...$one->events, Finding::observed('look.oil_level', 'far_over')]));
        self::assertSame([true, true, false], [$over($case), $over($drained), $over($away)]);
    }

    public function testASchoolChangesWhatIsAsked(): void
    {
        self::assertContains('split.gauge', self::askedUnder('split', []));
        self::assertContains('split.bypass_cleaner', self::askedUnder('split', []));
        self::assertNotContains('split.gauge', self::askedUnder('split', ['compression' => 'feel']));
        self::assertContains('split.feel', self::askedUnder('split', ['compression' => 'feel']));
        self::assertContains('split.bypass_ether', self::askedUnder('split', ['bypass_fluid' => 'starting_ether']));
        self::assertNotContains('split.bypass_cleaner', self::askedUnder('split', ['bypass_fluid' => 'starting_ether']));
    }

    public function testWhatAMachineCannotHaveIsNotAsked(): void
    {
        $ids = static fn (MachineKind $kind, string $stage): array => array_map(static fn (StepState $state): string => $state->step->id, self::stage(new CaseFile(new MachineFacts($kind)), [], $stage)->steps);
        self::assertContains('locked.pump', $ids(MachineKind::PressureWasher, 'locked'));
        self::assertNotContains('locked.pump', $ids(MachineKind::Mower, 'locked'));
        self::assertNotContains('path.drain', $ids(MachineKind::TwoStrokeHandTool, 'path'));
    }

    public function testNothingIsOpenPastItsGate(): void
    {
        $vocabulary = Vocabulary::shipped();
        $gatekeeper = new Gatekeeper($vocabulary, Closures::shipped());
        $work = self::work();
        $random = new Seeded(5);
        $tests = array_values(array_filter($vocabulary->tests, static fn ($test): bool => !$test->takesNumber()));
        $open = 0;
        for ($round = 0; $round < 400; ++$round) {
            $case = new CaseFile(new MachineFacts($random->one(MachineKind::cases())));
            for ($draw = $random->int(0, 20); $draw > 0; --$draw) {
                $test = $random->one($tests);
                $case = $case->with(Finding::observed($test->id, $random->one($test->outcomes ?? [''])));
            }
            $acts = array_filter([new Act('flush.drain', ['ml' => 700]), new Act('flush.fill_1', ['ml' => 500]), new Act('fuel.drain', ['ml' => 500])], static fn (): bool => 1 === $random->int(0, 1));
            foreach ($work->states($case, array_values($acts)) as $stage) {
                foreach ($stage->steps as $state) {
                    $gated = $state->step->as ?? $state->step->test;
                    if ($state->isOpen() && null !== $gated) {
                        ++$open;
                        self::assertSame([], $gatekeeper->blockers($case, $gated), $state->step->id);
                    }
                }
            }
        }
        self::assertGreaterThan(2000, $open);
    }

    /** @return iterable<string, array{Act, string}> */
    public static function impossible(): iterable
    {
        yield 'no such step' => [new Act('flush.moon'), 'act.no_such_step'];
        yield 'a test is no act' => [new Act('path.tap'), 'act.not_an_act'];
        yield 'a figure is missing' => [new Act('flush.drain'), 'act.figure_missing'];
        yield 'more than a crankcase' => [new Act('flush.drain', ['ml' => 30000]), 'act.out_of_range'];
        yield 'not a number' => [new Act('flush.drain', ['ml' => \NAN]), 'act.out_of_range'];
        yield 'no choice' => [new Act('locked.cause'), 'act.no_such_choice'];
        yield 'another choice' => [new Act('locked.cause', [], 'gremlins'), 'act.no_such_choice'];
        yield 'a choice where there is none' => [new Act('flush.drain', ['ml' => 500], 'needle'), 'act.no_such_choice'];
        yield 'less than nothing' => [new Act('locked.pull', ['thrown_ml' => -0.1]), 'act.out_of_range'];
    }

    public function testARefusedChoiceIsNamed(): void
    {
        foreach (['gremlins' => 'gremlins', '' => null] as $named => $choice) {
            try {
                self::work()->step('locked.cause')->check(new Act('locked.cause', [], $choice));
                self::fail('It was taken.');
            } catch (ImpossibleAct $impossible) {
                self::assertSame(['step' => 'locked.cause', 'choice' => $named], $impossible->figures());
            }
        }
    }

    public function testTakesWhatIsAtTheEndsAndEveryChoice(): void
    {
        $acts = [];
        foreach (self::work()->stages() as $stage) {
            foreach (array_filter($stage->steps, static fn ($step): bool => $step->isAct()) as $step) {
                foreach ([0, 1] as $end) {
                    foreach ([] === $step->choices ? [null] : $step->choices as $choice) {
                        $step->check($acts[] = new Act($step->id, array_map(static fn (array $bounds): float => (float) $bounds[$end], $step->fields ?? []), $choice));
                    }
                }
            }
        }
        self::assertGreaterThan(60, \count($acts));
    }

    #[DataProvider('impossible')]
    public function testRefusesWhatCannotHaveBeenDone(Act $act, string $reason): void
    {
        try {
            self::work()->step($act->step)->check($act);
            self::fail('It was taken.');
        } catch (ImpossibleAct $impossible) {
            self::assertSame($reason, $impossible->reason());
        }
    }

    public function testAnActSurvivesBeingKept(): void
    {
        $act = new Act('locked.cause', [], 'needle');
        self::assertEquals($act, Act::fromArray($act->toArray()));
        self::assertEquals(new Act('flush.drain', ['ml' => 900.0]), Act::fromArray(['step' => 'flush.drain', 'figures' => ['ml' => 900], 'choice' => null]));
    }

    public function testAMachineStaysUntilTheWayTheLiquidCameIsDealtWith(): void
    {
        $cause = static fn (string $choice): Act => new Act(StagePlan::CAUSE, [], $choice);
        self::assertNull(HandBackCheck::cause(self::case(['look.oil_smell' => 'none']), []));
        $gas = self::case(['look.oil_smell' => 'gas'])->with(new PutRight('oil.gas_in_oil'))->with(Finding::observed('look.oil_smell', 'none'));
        self::assertSame('cause_unknown', HandBackCheck::cause($gas, []), 'also after it was cleared');
        self::assertSame('needle', HandBackCheck::cause($gas, [$cause('needle')]));
        self::assertNull(HandBackCheck::cause($gas, [$cause('needle'), $cause('tipped')]), 'the last word stands');
        self::assertNull(HandBackCheck::cause($gas->with(Finding::observed('needle.pressure', 'holds')), [$cause('needle')]));
        self::assertNull(HandBackCheck::cause($gas->with(new PutRight('carb.needle_leaks')), []));
        self::assertNull(HandBackCheck::cause($gas, [$cause('goes_home_unrepaired')]));
    }

    /** @param array<string, list<string>> $when */
    private function checkWhen(array $when, Vocabulary $vocabulary): void
    {
        foreach ($when as $test => $outcomes) {
            self::assertSame([], array_diff($outcomes, $vocabulary->test($test)->outcomes ?? []), $test);
        }
    }

    public function testASeatOfTheWrongBoreForTheFeedIsQuestionedUntilItIsSettled(): void
    {
        $state = static fn (?Feed $feed, string ...$said): StepState => self::state(new CaseFile(new MachineFacts(MachineKind::Mower, feed: $feed)), array_map(static fn (string $choice): Act => new Act('needle.bore', choice: $choice), array_values($said)), 'needle.bore');
        foreach ([[Feed::Gravity, 'small_bore', 'small_on_gravity'], [Feed::Pump, 'large_bore', 'large_on_pump'], [null, 'large_bore', 'feed_unknown'], [Feed::Gravity, 'large_bore', null], [Feed::Pump, 'small_bore', null], [null, 'not_replaceable', null]] as [$feed, $said, $doubt]) {
            self::assertSame([$doubt, null === $doubt], [$state($feed, $said)->doubt, $state($feed, $said)->isDone], $said);
        }
        self::assertTrue($state(Feed::Gravity, 'small_bore', 'makers_bore')->isDone, 'the maker knows better');
        self::assertTrue($state(Feed::Gravity, 'small_bore', 'large_bore')->isDone, 'taken back by choosing anew');
        self::assertSame(['needle.bore'], self::state(new CaseFile(new MachineFacts(MachineKind::Mower, feed: Feed::Gravity)), [new Act('needle.way_round', choice: 'flat_to_needle'), new Act('needle.bore', choice: 'small_bore')], 'needle.fitted')->first, 'nothing is fitted while it is questioned');
    }

    public function testAJetIsOpenedOnlyWhereTheSchoolDoesAndEverythingElseIsRight(): void
    {
        $right = ['look.oil_level' => 'at_mark', 'bowl.inside' => 'clean', 'jet.pilot' => 'clear', 'jet.main' => 'clear', 'intake.gasket' => 'sound', 'needle.pressure' => 'holds'];
        self::assertFalse(self::state(self::case($right), [], 'jet.before')->isClosed());
        foreach (['jet.pilot' => 'partial', 'jet.main' => 'blocked', 'intake.gasket' => 'torn_or_hard', 'needle.pressure' => 'leaks'] as $test => $outcome) {
            $state = self::state(self::case([$test => $outcome] + $right), [], 'jet.before');
            self::assertSame([$test], array_map(static fn ($blocker): string => $blocker->until, $state->blockers));
        }
        self::assertSame(['jet.before'], self::state(self::case($right), [], 'jet.after')->first);
        self::assertNotContains('jet.after', self::askedUnder('jet', []), 'never, unless a school is chosen');
        self::assertContains('jet.after', self::askedUnder('jet', ['jet_drilling' => 'next_size_up']));
    }

    public function testTheTestAfterFittingIsDoneOnlyWhenItHolds(): void
    {
        $acts = [new Act('needle.way_round', choice: 'not_replaceable'), new Act('needle.bore', choice: 'not_replaceable'), new Act('needle.fitted', choice: 'both_new')];
        self::assertFalse(self::state(self::case(['needle.pressure' => 'leaks']), $acts, 'needle.again')->isDone);
        self::assertTrue(self::state(self::case(['needle.pressure' => 'holds']), $acts, 'needle.again')->isDone);
        self::assertFalse(self::state(self::case(['needle.pressure' => 'holds']), [], 'needle.again')->isDone, 'nothing is fitted yet');
        $fitted = [...\array_slice($acts, 0, 2), new Act('needle.fitted', choice: 'reused', after: 1)];
        self::assertFalse(self::state(self::case(['needle.pressure' => 'holds']), $fitted, 'needle.again')->isDone, 'it held before it was fitted; that says nothing of now');
        self::assertTrue(self::state(self::case(['needle.pressure' => 'holds'])->with(Finding::observed('needle.pressure', 'holds')), $fitted, 'needle.again')->isDone);
    }

    /** @param array<string, string> $findings */
    private static function case(array $findings): CaseFile
    {
        return new CaseFile(new MachineFacts(MachineKind::Mower), array_map(Finding::observed(...), array_keys($findings), $findings));
    }

    /** @param list<Act> $acts */
    private static function state(CaseFile $case, array $acts, string $step): StepState
    {
        return self::work()->stateOf(self::work()->step($step), $case, $acts);
    }

    /** @param list<Act> $acts */
    private static function stage(CaseFile $case, array $acts, string $id): StageState
    {
        foreach (self::work()->states($case, $acts) as $state) {
            if ($state->stage->id === $id) {
                return $state;
            }
        }
        self::fail('No such stage.');
    }

    /**
     * @param array<string, string> $schools
     *
     * @return list<string> the steps that are asked
     */
    private static function askedUnder(string $stage, array $schools): array
    {
        return array_map(static fn (StepState $state): string => $state->step->id, self::stage(new CaseFile(new MachineFacts(MachineKind::Mower), [], $schools), [], $stage)->steps);
    }

    private static function work(): StagePlan
    {
        $vocabulary = Vocabulary::shipped();

        return StagePlan::shipped($vocabulary, new Gatekeeper($vocabulary, Closures::shipped()));
    }
}
