<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Diagnosis;

use AwakeShed\Core\Diagnosis\Beliefs;
use AwakeShed\Core\Diagnosis\FaultModel;
use AwakeShed\Core\Diagnosis\Split;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Simulation\Dice;
use AwakeShed\Core\Simulation\HiddenMachine;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** On which side it lies, what is found against what is said, and how many faults a machine is thought to have. */
final class SplitTest extends TestCase
{
    /** Named from one half on, and with it whatever is no more than 15 % behind; where nothing was found none is. */
    public function testASideIsNamedFromOneHalfOn(): void
    {
        $found = [Finding::observed('spark.tester', 'none')];
        self::assertSame(['spark'], (new Split(['fuel' => 0.2, 'spark' => 0.5], $found))->named());
        self::assertSame([], (new Split(['fuel' => 0.2, 'spark' => 0.4999], $found))->named());
        self::assertSame(['spark', 'fuel'], (new Split(['fuel' => 0.4501, 'spark' => 0.6, 'air' => 0.4499], $found))->named());
        self::assertSame([], (new Split(['fuel' => 0.9], []))->named());
    }

    /** @return iterable<string, array{array<string, string|int>, list<string>, string, float}> found, side or sides, kind, at least */
    public static function splits(): iterable
    {
        $gates = Assessing::GATES;
        yield 'spark, and it fires while fed' => [$gates + ['start.plain' => 'nothing', 'spark.tester' => 'strong', 'look.plug' => 'dry', 'start.bypass' => 'runs_while_fed'], ['fuel'], 'mower', 0.9];
        yield 'no spark' => [$gates + ['start.plain' => 'nothing', 'spark.tester' => 'none'], ['spark'], 'mower', 0.95];
        yield 'no compression' => [$gates + ['start.plain' => 'nothing', 'spark.tester' => 'strong', 'compression.gauge' => 'none'], ['compression'], 'generator', 0.9];
        yield 'kicks back' => [['feel.pull' => 'kicks_back'], ['timing'], 'mower', 0.6];
        yield 'dies, and restarts with the cap open' => [$gates + ['start.plain' => 'runs', 'run.minutes_later' => 'dies_cap_open_restarts'], ['fuel'], 'mower', 0.85];
        yield 'a wet plug and old fuel: it is the fuel itself' => [$gates + ['start.plain' => 'nothing', 'spark.tester' => 'strong', 'look.plug' => 'gas_wet', 'flow.line' => 'pours', 'jar.smell' => 'varnish'], ['fuel'], 'mower', 0.95];
    }

    /**
     * @param array<string, string|int> $findings
     * @param non-empty-list<string>    $sides
     */
    #[DataProvider('splits')]
    public function testNamesTheSide(array $findings, array $sides, string $kind, float $least): void
    {
        $split = Assessing::of($findings, $kind)->split;
        self::assertSame(['fuel', 'spark', 'compression', 'timing', 'air'], array_keys($split->sides));
        self::assertSame($sides, $split->named(), json_encode($split->sides, \JSON_THROW_ON_ERROR));
        self::assertGreaterThanOrEqual($least, $split->sides[$sides[0]]);
        self::assertNotSame([], $split->facts);
    }

    public function testSaysNothingAsLongAsNothingIsWrong(): void
    {
        foreach ([[], Assessing::GATES + ['spark.tester' => 'strong', 'compression.gauge' => 'good'], ['claim.idle_months' => 60, 'claim.layup' => 'fuel_left_in']] as $findings) {
            $split = Assessing::of($findings, 'mower')->split;
            self::assertSame([[], []], [$split->facts, $split->named()]);
        }
    }

    public function testFiringWhileFedIsStrongerThanATaste(): void
    {
        $fed = static fn (string $bypass): float => Assessing::of(Assessing::GATES + ['start.plain' => 'nothing', 'spark.tester' => 'strong', 'start.bypass' => $bypass], 'mower')->split->sides['fuel'];
        self::assertGreaterThan($fed('fires_dies') + 0.1, $fed('runs_while_fed'));
        self::assertGreaterThan($fed('nothing'), $fed('fires_dies'));
    }

    public function testADryPlugSpeaksOnlyAfterCranking(): void
    {
        $before = Assessing::GATES + ['spark.tester' => 'strong'];
        self::assertEqualsWithDelta(self::fuelSide($before + ['look.plug' => 'like_new']), self::fuelSide($before + ['look.plug' => 'dry']), 1e-9, 'nobody has cranked it');
        self::assertGreaterThan(self::fuelSide($before + ['start.plain' => 'nothing']) + 0.05, self::fuelSide($before + ['start.plain' => 'nothing', 'look.plug' => 'dry']));
    }

    public function testNotKnowingOfABlowSpeaksSlightlyForOne(): void
    {
        $key = static fn (string $said): float => Assessing::of(['claim.struck_something' => $said, 'feel.pull' => 'kicks_back'], 'mower')->split->sides['timing'];
        self::assertGreaterThan($key('no'), $key('unknown'));
        self::assertGreaterThan($key('unknown'), $key('yes'));
        $none = Assessing::of(['feel.pull' => 'kicks_back'], 'mower')->split->sides['timing'];
        self::assertGreaterThanOrEqual($none, $key('unknown'));
    }

    public function testMeasuredEthanolCountsInsteadOfWhatIsSaid(): void
    {
        $said = ['claim.idle_months' => 20, 'claim.fuel_kind' => 'ethanol_free'];
        self::assertGreaterThan(2 * self::chance('fuel.separated', $said), self::chance('fuel.separated', $said + ['jar.ethanol_percent' => 10]));
        self::assertEqualsWithDelta(self::chance('fuel.separated', ['claim.idle_months' => 20, 'claim.fuel_kind' => 'e10']), self::chance('fuel.separated', $said + ['jar.ethanol_percent' => 10]), 1e-9);
        self::assertLessThan(self::chance('fuel.separated', ['claim.idle_months' => 20, 'claim.fuel_kind' => 'e10']), self::chance('fuel.separated', ['claim.idle_months' => 20, 'claim.fuel_kind' => 'e10', 'jar.ethanol_percent' => 0]));
        self::assertGreaterThan(1.3 * self::chance('fuel.separated', $said), self::chance('fuel.separated', $said + ['bowl.inside' => 'crystals']), 'crystals speak against it as well');
    }

    public function testAPlugThatSmellsOfGasSpeaksAgainstNobodyTried(): void
    {
        $assessment = Assessing::of(['claim.someone_tried' => 'no', 'look.plug' => 'gas_wet'], 'mower');
        self::assertSame('claim.someone_tried', $assessment->contradictions[0]->claim);
        self::assertEquals(['look.plug' => Finding::observed('look.plug', 'gas_wet')], $assessment->contradictions[0]->against);
        self::assertEqualsWithDelta(self::chance('cylinder.flooded', ['look.plug' => 'gas_wet']), self::chance('cylinder.flooded', ['claim.someone_tried' => 'no', 'look.plug' => 'gas_wet']), 1e-9, 'what is contradicted is no evidence');
    }

    public function testMostMachinesOfOneWinterHaveLittleWrong(): void
    {
        $expected = static fn (int $months): float => array_sum(self::before($months));
        self::assertEqualsWithDelta(1.3, $expected(8), 0.15);
        self::assertEqualsWithDelta(2.2, $expected(26), 0.25);
        $sound = $all = 0;
        for ($number = 0; $number < 900; ++$number) {
            $machine = HiddenMachine::draw(FaultModel::shipped(), Vocabulary::shipped(), new Dice($number));
            if (8.0 === $machine->intake->standing('claim.idle_months')?->number) {
                ++$all;
                $sound += [] === $machine->hindered() ? 1 : 0;
            }
        }
        self::assertGreaterThan(100, $all);
        self::assertGreaterThan(0.25, $sound / $all, 'nothing hinders one in four');
    }

    /** @param array<string, string|int> $findings */
    private static function fuelSide(array $findings): float
    {
        return Assessing::of($findings, 'mower')->split->sides['fuel'];
    }

    /** @param array<string, string|int> $findings */
    private static function chance(string $fault, array $findings): float
    {
        return Assessing::assessor()->beliefs(Assessing::case($findings, 'mower'))[$fault];
    }

    /** @return array<string, float> */
    private static function before(int $months): array
    {
        return Beliefs::before(FaultModel::shipped(), Assessing::case(['claim.idle_months' => $months], MachineKind::Mower->value));
    }
}
