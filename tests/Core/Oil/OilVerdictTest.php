<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Oil;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Gate\Closures;
use AwakeShed\Core\Gate\Gatekeeper;
use AwakeShed\Core\Oil\OilDecision;
use AwakeShed\Core\Oil\OilVerdict;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class OilVerdictTest extends TestCase
{
    /** @return iterable<string, array{array<string, string>, OilDecision, bool, bool}> looks, decision, may turn, may start */
    public static function sticks(): iterable
    {
        $sound = ['look.oil_level' => 'at_mark', 'look.oil_smell' => 'none', 'look.oil_body' => 'normal', 'look.oil_colour' => 'clean'];
        yield 'nobody looked' => [[], OilDecision::NotLooked, false, false];
        yield 'smelled, level not read' => [['look.oil_smell' => 'none'], OilDecision::NotLooked, false, false];
        yield 'level only' => [['look.oil_level' => 'at_mark'], OilDecision::Incomplete, false, false];
        yield 'sound' => [$sound, OilDecision::GoOn, true, true];
        yield 'a little over' => [['look.oil_level' => 'over_mark'] + $sound, OilDecision::ChangeSoon, true, true];
        yield 'black' => [['look.oil_colour' => 'black'] + $sound, OilDecision::ChangeBeforeStart, true, false];
        yield 'milky' => [['look.oil_colour' => 'milky'] + $sound, OilDecision::ChangeBeforeStart, true, false];
        yield 'below' => [['look.oil_level' => 'below_mark'] + $sound, OilDecision::TopUp, true, false];
        yield 'no dipstick' => [['look.oil_level' => 'unreadable'] + $sound, OilDecision::PartNeeded, false, false];
        yield 'far over' => [['look.oil_level' => 'far_over'] + $sound, OilDecision::DrainFirst, false, false];
        yield 'smells of gas at the mark' => [['look.oil_smell' => 'gas'] + $sound, OilDecision::DrainFirst, false, false];
        yield 'thin' => [['look.oil_body' => 'thin'] + $sound, OilDecision::DrainFirst, false, false];
        yield 'far over, nothing else read: the worst is enough' => [['look.oil_level' => 'far_over'], OilDecision::DrainFirst, false, false];
    }

    /** @param array<string, string> $looks */
    #[DataProvider('sticks')]
    public function testReadsTheStick(array $looks, OilDecision $decision, bool $turns, bool $starts): void
    {
        $findings = array_map(static fn (string $test, string $outcome): Finding => Finding::observed($test, $outcome), array_keys($looks), $looks);
        $verdict = self::verdict(new CaseFile(new MachineFacts(MachineKind::Mower), $findings));
        self::assertSame($decision, $verdict->decision);
        self::assertSame([$turns, $starts], [$verdict->decision->letsTurn(), $verdict->decision->letsStart()]);
    }

    public function testAfterTheCureItWantsALookOnceMore(): void
    {
        $case = new CaseFile(new MachineFacts(MachineKind::Mower), [Finding::observed('look.oil_level', 'far_over'), Finding::observed('look.oil_smell', 'gas'), new PutRight('oil.gas_in_oil')]);
        $verdict = self::verdict($case);
        self::assertSame(OilDecision::LookAgain, $verdict->decision);
        self::assertSame(['look.oil_level', 'look.oil_smell'], $verdict->missing);
        self::assertSame([], $verdict->reasons);
    }

    public function testATwoStrokeHasNoStick(): void
    {
        self::assertSame(OilDecision::NotApplicable, self::verdict(new CaseFile(new MachineFacts(MachineKind::TwoStrokeHandTool)))->decision);
    }

    private static function verdict(CaseFile $case): OilVerdict
    {
        $vocabulary = Vocabulary::shipped();

        return OilVerdict::onCase($case, $vocabulary, new Gatekeeper($vocabulary, Closures::shipped()));
    }
}
