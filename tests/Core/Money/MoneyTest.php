<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Money;

use AwakeShed\Core\Diagnosis\Cures;
use AwakeShed\Core\Diagnosis\Quote;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Money\Bill;
use AwakeShed\Core\Money\BillLine;
use AwakeShed\Core\Money\LineKind;
use AwakeShed\Core\Money\Pace;
use AwakeShed\Core\Money\WorkTime;
use AwakeShed\Core\Money\Worth;
use AwakeShed\Core\Money\WorthVerdict;
use AwakeShed\Core\Units\DurationUnit;
use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\Money;
use PHPUnit\Framework\TestCase;

/** Money of a job. The sums were worked by hand. */
final class MoneyTest extends TestCase
{
    public function testABillIsRoundedToTheCentByLineAndItsTaxOnce(): void
    {
        $lines = [
            new BillLine(LineKind::Labor, '', 1.25, Money::dollars(58.50)),   // 73.125 → 73.13
            new BillLine(LineKind::Part, 'Needle and seat', 3, Money::dollars(2.335)), // 7.005 → 7.01 or 7.00 by binary: 7.01
            new BillLine(LineKind::Consumables, '', 1, Money::dollars(5)),
        ];
        $bill = Bill::of($lines, 6.5, false);
        self::assertSame(73.13, $lines[0]->amount()->inDollars());
        self::assertEqualsWithDelta(85.14, $bill->net->inDollars(), 0.0001);
        self::assertEqualsWithDelta(0.78, $bill->tax->inDollars(), 0.0001, '6.5 % of 12.01, labor not taxed');
        self::assertEqualsWithDelta(85.92, $bill->total->inDollars(), 0.0001);
        self::assertEqualsWithDelta(5.53, Bill::of($lines, 6.5, true)->tax->inDollars(), 0.0001, '6.5 % of 85.14');
        self::assertSame(0.0, Bill::of([], 20, true)->total->inDollars());
    }

    public function testWhatNoBillHasIsRefused(): void
    {
        $this->expectException(ImpossibleAmount::class);
        new BillLine(LineKind::Part, 'x', -1, Money::dollars(1));
    }

    public function testTheWorkIsTheLooksByTheVocabularyAndTheCuresByTheMiddle(): void
    {
        $cures = Cures::shipped();
        $minutes = static fn (CaseFile $case): float => WorkTime::of($case, Vocabulary::shipped(), $cures)->in(DurationUnit::Minute);
        $case = new CaseFile(new MachineFacts(MachineKind::Mower), [Finding::number('claim.idle_months', 8), Finding::observed('look.oil_level', 'at_mark'), Finding::observed('run.load', 'holds')]);
        self::assertSame(7.0, $minutes($case), 'two minutes and five; what an owner says takes none');
        [$quick, $slow] = $cures->minutes('spark.plug_bad');
        self::assertEqualsWithDelta(7.0 + ($quick + $slow) / 2, $minutes($case->with(new PutRight('spark.plug_bad'))), 1e-9);
        $checked = $case->with(new Done(Vocabulary::shipped()->acts['carburetor.checked']));
        self::assertSame(7.0, $minutes($checked), 'looked over is not mended');
        self::assertEqualsWithDelta(7.0 + ($quick + $slow) / 2, $minutes($case->with(new Done(Vocabulary::shipped()->acts['plug.renewed']))), 1e-9);
        $two = $minutes($case->with(new PutRight('carb.pilot_blocked'))->with(new PutRight('carb.main_jet_blocked')));
        $alone = static fn (string $fault): float => array_sum($cures->minutes($fault)) / 2;
        self::assertLessThan(7.0 + $alone('carb.pilot_blocked') + $alone('carb.main_jet_blocked'), $two, 'the carburetor comes off once');
    }

    public function testWhatTakesOnlyHandsCostsNoPart(): void
    {
        $cures = Cures::shipped();

        self::assertSame([0, 0], $cures->dollars('tank.debris'));
        self::assertSame([4, 20], $cures->dollars('fuel.stale'));
    }

    public function testWorthItIsAskedAtTheFirstPartThatMayPassTheLimit(): void
    {
        $cures = Cures::shipped();
        self::assertSame(WorthVerdict::NoLimit, self::judged(['carb.pilot_blocked' => 0.5], null)->verdict);
        self::assertSame(WorthVerdict::Within, self::judged(['fuel.stale' => 0.5], 500.0)->verdict);
        self::assertSame(WorthVerdict::Beyond, self::judged(['carb.corroded' => 1.0], 20.0)->verdict);
        $unsure = ['fuel.stale' => 1.0, 'carb.corroded' => 0.5];
        $quote = Quote::reckoned($unsure, $cures, 60.0, 0.75);
        $between = self::judged($unsure, ($quote->least() + $quote->most()) / 2);
        self::assertSame([WorthVerdict::AskBefore, 'carburetor'], [$between->verdict, $between->before]);
        self::assertSame(40.0, self::judged($unsure, 300.0, 40.0)->limit, 'the lesser of cap and worth');
    }

    public function testAShopsPaceIsLearnedFromTheClockAndSlowly(): void
    {
        self::assertSame(1.0, Pace::learned(0, 0, 0)->factor);
        self::assertFalse(Pace::learned(0, 0, 0)->isLearned());
        self::assertEqualsWithDelta(1.263, Pace::learned(4.5, 2.0, 2)->factor, 0.001, '12 of 9.5');
        self::assertEqualsWithDelta(2.0, Pace::learned(2000.0, 1000.0, 500)->factor, 0.01);
        self::assertSame(3.0, Pace::learned(9000.0, 100.0, 50)->factor);
    }

    /** @param array<string, float> $chances */
    private static function judged(array $chances, ?float $cap, ?float $worth = null): Worth
    {
        return Worth::judged($chances, Cures::shipped(), 60.0, 0.75, $cap, $worth);
    }
}
