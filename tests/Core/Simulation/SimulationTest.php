<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Simulation;

use AwakeShed\Core\Diagnosis\FaultModel;
use AwakeShed\Core\Diagnosis\Odds;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Gate\Closures;
use AwakeShed\Core\Gate\Gatekeeper;
use AwakeShed\Core\Simulation\Calibration;
use AwakeShed\Core\Simulation\Dice;
use AwakeShed\Core\Simulation\HiddenMachine;
use AwakeShed\Core\Simulation\Simulation;
use AwakeShed\Core\Simulation\SimulationResult;
use AwakeShed\Core\Simulation\Snapshot;
use AwakeShed\Core\Simulation\Tally;
use AwakeShed\Core\Simulation\Worked;
use AwakeShed\Core\Simulation\World;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SimulationTest extends TestCase
{
    /** @return iterable<string, array{World}> */
    public static function worlds(): iterable
    {
        foreach (World::cases() as $world) {
            yield $world->value => [$world];
        }
    }

    public function testATallyIsTheMeanOfWhatWasWorked(): void
    {
        $tally = new Tally();
        self::assertSame([0, 0.0, 0.0, 0.0, 0.0], [$tally->machines, $tally->meanMinutes(), $tally->meanTests(), $tally->meanNeedless(), $tally->shareFound()]);
        $tally->add(new Worked(30.0, 5, 0, true));
        self::assertSame([1, 30.0, 5.0, 0.0, 1.0], [$tally->machines, $tally->meanMinutes(), $tally->meanTests(), $tally->meanNeedless(), $tally->shareFound()]);
        $tally->add(new Worked(50.0, 8, 1, false));
        self::assertSame([2, 40.0, 6.5, 0.5, 0.5], [$tally->machines, $tally->meanMinutes(), $tally->meanTests(), $tally->meanNeedless(), $tally->shareFound()]);
    }

    #[DataProvider('worlds')]
    public function testTheSuggestionsKeepTheirBarsInEveryWorld(World $world): void
    {
        $result = self::trial(72, world: $world, compareEvery: 3);
        self::assertLessThanOrEqual(0.8, $result->ratioToTextbook(), 'two dozen machines: the bar of 0.7 with what chance does');
        self::assertLessThan(1.0, $result->ratioToRandom());
        self::assertLessThan(World::OneFault === $world ? 1.7 : 2.5, $result->ratioToKnowing());
        self::assertLessThanOrEqual(0.05, $result->all->expectedError());
        // Some seventy beliefs in ten bins: even the best calibration misses by chance some 0.08.
        self::assertLessThan(0.15, $result->first->expectedError());
        self::assertGreaterThan(0.85, $result->suggested->shareFound());
        self::assertLessThan(0.6, $result->suggested->meanNeedless());
    }

    public function testMachinesOfOneFaultHaveOne(): void
    {
        $model = World::OneFault->model(Odds::shipped(), new Dice(1));
        for ($number = 0; $number < 40; ++$number) {
            $machine = HiddenMachine::draw($model, Vocabulary::shipped(), new Dice($number), true);
            self::assertCount(1, array_filter($model->faults(), $machine->has(...)));
        }
    }

    public function testAShakenWorldIsAThirdOffInEveryShare(): void
    {
        $shipped = FaultModel::shipped()->tests['timing.flywheel_key'];
        $shaken = World::Shaken->model(Odds::shipped(), new Dice(1))->tests['timing.flywheel_key'];
        self::assertSame($shipped->outcomes, $shaken->outcomes);
        // Of a key that is whole in 4 of 100 looks where it is sheared, no more than 26 or as few as what is left to it.
        self::assertNotEqualsWithDelta($shipped->upTo('timing.key_sheared', 0), $shaken->upTo('timing.key_sheared', 0), 0.001);
    }

    public function testDepositsComeTogetherWhereTheirCauseIsStronger(): void
    {
        $together = static function (World $world): int {
            $model = $world->model(Odds::shipped(), new Dice(1));
            $pairs = 0;
            for ($number = 0; $number < 600; ++$number) {
                $machine = HiddenMachine::draw($model, Vocabulary::shipped(), new Dice($number));
                $pairs += (int) ($machine->has('carb.pilot_blocked') && $machine->has('carb.bowl_fouled'));
            }

            return $pairs;
        };
        self::assertGreaterThan($together(World::Model), $together(World::CommonCause));
    }

    public function testTheSameSeedDrawsTheSameMachinesAndAnotherOthers(): void
    {
        $minutes = static fn (SimulationResult $result): array => [$result->suggested->meanMinutes(), $result->textbook->meanMinutes(), $result->random->meanMinutes()];
        self::assertSame($minutes(self::trial(6)), $minutes(self::trial(6)));
        self::assertNotSame($minutes(self::trial(6)), $minutes(self::trial(6, 8)));
    }

    public function testAMachineAnswersAsOftenAsTheModelSays(): void
    {
        // A key is drawn in about one of a hundred; such machines show it in 96 of 100 looks, others in one of a thousand.
        $model = FaultModel::shipped();
        $vocabulary = Vocabulary::shipped();
        $shown = $asked = 0;
        for ($number = 0; $number < 1500 && $asked < 1500; ++$number) {
            $machine = HiddenMachine::draw($model, $vocabulary, new Dice($number));
            if ($machine->has('timing.key_sheared')) {
                for ($look = 0; $look < 300; ++$look) {
                    ++$asked;
                    $shown += (int) ('sheared' === $machine->answer('timing.flywheel_key'));
                }
            }
        }
        self::assertGreaterThanOrEqual(1500, $asked, 'some machines must have it');
        self::assertEqualsWithDelta(0.96, $shown / $asked, 0.02);
    }

    public function testWhatIsPutRightNoLongerHinders(): void
    {
        $model = FaultModel::shipped();
        $left = 0;
        for ($number = 0; $number < 40; ++$number) {
            $machine = HiddenMachine::draw($model, Vocabulary::shipped(), new Dice($number));
            foreach ($machine->hindered() as $fault) {
                $machine->putRight($fault);
            }
            $left += \count($machine->hindered());
        }
        self::assertGreaterThan(0, $left, 'one cure in twenty does not take');
        self::assertLessThan(30, $left);
    }

    public function testCalibrationByHand(): void
    {
        // Four beliefs of 0.8, three of them so: off by 0.05. Two of 0.2, none so: off by 0.2. (4·0.05 + 2·0.2)/6 = 0.1.
        // Squares: 3·0.04 + 0.64 + 2·0.04 = 0.84; over six 0.14.
        $calibration = new Calibration();
        foreach ([[0.8, true], [0.8, true], [0.8, true], [0.8, false], [0.2, false], [0.2, false]] as [$belief, $isSo]) {
            $calibration->add($belief, $isSo);
        }
        self::assertEqualsWithDelta(0.1, $calibration->expectedError(), 1e-12);
        self::assertEqualsWithDelta(0.14, $calibration->brier(), 1e-12);
        self::assertSame([2, 4], array_column($calibration->table(), 'count'));
        self::assertSame([0.0, 0.75], array_column($calibration->table(), 'so'));
        self::assertSame([0.2, 0.8], array_column($calibration->table(), 'from'), 'by tenths');
        self::assertEqualsWithDelta([0.3, 0.9], array_column($calibration->table(), 'to'), 1e-12);
        self::assertSame([0.0, 0.0, []], [(new Calibration())->expectedError(), (new Calibration())->brier(), (new Calibration())->table()]);
        $sure = new Calibration();
        $sure->add(1.0, true);
        self::assertSame([0.9], array_column($sure->table(), 'from'), 'certainty is in the last tenth');
    }

    public function testWhatIsBelievedMostIsCountedByItselfAsWell(): void
    {
        $result = self::trial(12);
        self::assertCount(\count($result->first->table()), array_filter($result->first->table(), static fn (array $row): bool => $row['count'] > 0));
        self::assertSame(12, array_sum(array_column($result->first->table(), 'count')), 'one of each machine');
        self::assertGreaterThan(20 * 12, array_sum(array_column($result->all->table(), 'count')));
        // Who tests at random does not go by the book.
        self::assertLessThan(0.7 * $result->textbook->meanTests(), $result->random->meanTests(), 'the book begins with what is looked at, not with what tells');
        $none = new SimulationResult();
        $none->see(new Snapshot(3));
        self::assertSame([[], []], [$none->first->table(), $none->all->table()]);
    }

    public function testDicePickInProportion(): void
    {
        $dice = new Dice(4);
        $counts = ['a' => 0, 'b' => 0];
        for ($roll = 0; $roll < 4000; ++$roll) {
            ++$counts[$dice->pick(['a' => 3, 'b' => 1])];
        }
        self::assertEqualsWithDelta(3000, $counts['a'], 120);
        self::assertSame($dice->for('x')->roll(), $dice->for('x')->roll());
        self::assertNotSame($dice->for('x')->roll(), $dice->for('y')->roll());
    }

    private static function trial(int $cases, int $seed = 7, World $world = World::Model, int $compareEvery = 1): SimulationResult
    {
        $vocabulary = Vocabulary::shipped();

        return (new Simulation(FaultModel::shipped(), $vocabulary, new Gatekeeper($vocabulary, Closures::shipped())))->run($cases, $seed, $compareEvery, world: $world);
    }
}
