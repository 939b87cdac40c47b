<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Diagnosis;

use AwakeShed\Core\Diagnosis\Beliefs;
use AwakeShed\Core\Diagnosis\FaultModel;
use AwakeShed\Core\Diagnosis\ImpossibleOdds;
use AwakeShed\Core\Diagnosis\Odds;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class OddsTest extends TestCase
{
    public function testEveryShippedNumberPassesItsOwnCheckAndNamesItsSource(): void
    {
        $odds = Odds::shipped();
        self::assertGreaterThan(800, \count($odds->paths()));
        foreach ($odds->paths() as $path) {
            $odds->check($path);
            self::assertContains($odds->source($path), ['published', 'common practice', 'from memory', 'invented'], $path);
        }
    }

    /** @return iterable<string, array{array<string, float>, string}> */
    public static function impossible(): iterable
    {
        yield 'more than always' => [['faults/fuel.stale/shows/jar.smell/stale' => 1.2], 'odds.out_of_range'];
        yield 'a row over all' => [['faults/fuel.stale/shows/jar.smell/stale' => 0.9], 'odds.row_over'];
        yield 'a row that lacks' => [['sound/look.tap/shut_or_blocked' => 0.5], 'odds.row_sum'];
        yield 'what can never be' => [['sound/look.tap/shut_or_blocked' => 0.0], 'odds.out_of_range'];
        yield 'certain beforehand' => [['faults/fuel.stale/prior' => 0.99], 'odds.out_of_range'];
        yield 'less than nothing' => [['faults/carb.needle_leaks/brings/oil.gas_in_oil' => -0.1], 'odds.out_of_range'];
        yield 'an owner who never lies' => [['claims/claim.tipped/no/base' => 1.0], 'odds.out_of_range'];
        yield 'no such fault' => [['faults/fuel.blue/prior' => 0.1], 'odds.no_such_number'];
        yield 'no such outcome' => [['faults/fuel.stale/shows/jar.smell/sweet' => 0.1], 'odds.no_such_number'];
        yield 'a brought fault it does not bring' => [['faults/fuel.stale/brings/oil.low' => 0.1], 'odds.no_such_number'];
        // A hair beyond what can just be, and a word too many or too few in a path.
        yield 'rarer than the rarest' => [['faults/fuel.stale/prior' => 0.0004], 'odds.out_of_range'];
        yield 'commoner than the commonest' => [['faults/fuel.stale/prior' => 0.751], 'odds.out_of_range'];
        yield 'an owner who is right hardly ever, and less' => [['claims/claim.tipped/no/base' => 0.0099], 'odds.out_of_range'];
        yield 'an owner who is right nearly always, and more' => [['claims/claim.tipped/no/base' => 0.9901], 'odds.out_of_range'];
        yield 'an outcome rarer than hardly ever' => [['sound/look.tap/shut_or_blocked' => 0.00009], 'odds.out_of_range'];
        yield 'a row that lacks more than rounding takes' => [['sound/look.tap/open_and_flows' => 0.9, 'sound/look.tap/shut_or_blocked' => 0.098], 'odds.row_sum'];
        yield 'a row that has more over than rounding gives' => [['sound/look.tap/open_and_flows' => 0.9, 'sound/look.tap/shut_or_blocked' => 0.102], 'odds.row_sum'];
        yield 'a row of a fault that has more over' => [['faults/fuel.stale/shows/run.load/sags' => 0.9, 'faults/fuel.stale/shows/run.load/dies' => 0.102], 'odds.row_over'];
        yield 'an outcome of an outcome' => [['sound/look.tap/shut_or_blocked/again' => 0.1], 'odds.no_such_number'];
        yield 'a prior of a prior' => [['faults/fuel.stale/prior/again' => 0.1], 'odds.no_such_number'];
        yield 'a row where a share belongs' => [['faults/fuel.stale/shows/run.load' => 0.1], 'odds.no_such_number'];
        yield 'a share of a share' => [['faults/fuel.stale/shows/run.load/sags/again' => 0.1], 'odds.no_such_number'];
        yield 'a base of a base' => [['claims/claim.tipped/no/base/again' => 0.1], 'odds.no_such_number'];
        yield 'no such answer of an owner' => [['claims/claim.tipped/maybe/base' => 0.1], 'odds.no_such_number'];
        yield 'no word but one' => [['prior' => 0.1], 'odds.no_such_number'];
    }

    /** @param array<string, float> $changes */
    #[DataProvider('impossible')]
    public function testRefusesWhatCannotBe(array $changes, string $reason): void
    {
        try {
            Odds::shipped()->with($changes);
            self::fail('It was taken.');
        } catch (ImpossibleOdds $impossible) {
            self::assertSame($reason, $impossible->reason());
            self::assertArrayHasKey($impossible->figures()['path'], $changes);
        }
    }

    /** What is said of a refused number: as per cent, with the ends it may lie between. */
    public function testARefusalNamesTheNumberAndItsEnds(): void
    {
        foreach ([
            ['faults/fuel.stale/shows/jar.smell/stale', 1.23456789, 123.457, 0.0, 100.0],
            ['faults/fuel.stale/prior', 0.99, 99.0, 0.05, 75.0],
            ['sound/look.tap/shut_or_blocked', 0.0, 0.0, 0.01, 100.0],
            ['claims/claim.tipped/no/base', 1.0, 100.0, 1.0, 99.0],
        ] as [$path, $value, $percent, $least, $most]) {
            try {
                Odds::shipped()->with([$path => $value]);
                self::fail($path);
            } catch (ImpossibleOdds $impossible) {
                self::assertSame(['path' => $path, 'value' => $percent, 'least' => $least, 'most' => $most], $impossible->figures());
                self::assertSame(\sprintf('%s is %s %%; it may be %s to %s %%.', $path, $percent, $least, $most), $impossible->getMessage());
            }
        }
        try {
            Odds::shipped()->with(['sound/look.tap/shut_or_blocked' => 0.5]);
            self::fail('A row that lacks.');
        } catch (ImpossibleOdds $impossible) {
            self::assertIsFloat($impossible->figures()['sum']);
            self::assertEqualsWithDelta(150, $impossible->figures()['sum'], 1);
        }
    }

    public function testAChangedNumberChangesWhatIsBelieved(): void
    {
        $mower = new CaseFile(new MachineFacts(MachineKind::Mower));
        $changed = FaultModel::fromOdds(Odds::shipped()->with(['faults/spark.plug_bad/prior' => 0.3]));
        self::assertSame(0.028, round(Beliefs::before(FaultModel::shipped(), $mower)['spark.plug_bad'], 6));
        self::assertSame(0.3, round(Beliefs::before($changed, $mower)['spark.plug_bad'], 6));
    }

    /** @return iterable<string, array{array<string, float>}> */
    public static function atTheEnds(): iterable
    {
        yield 'the rarest fault' => [['faults/fuel.stale/prior' => 0.0005]];
        yield 'the commonest' => [['faults/fuel.stale/prior' => 0.75]];
        yield 'an owner who is hardly ever right' => [['claims/claim.tipped/no/base' => 0.01]];
        yield 'and one who nearly always is' => [['claims/claim.tipped/no/base' => 0.99]];
        yield 'what is hardly ever found on a sound machine' => [['sound/look.tap/open_and_flows' => 0.9999, 'sound/look.tap/shut_or_blocked' => 0.0001]];
        yield 'a row that lacks what rounding took' => [['sound/look.tap/open_and_flows' => 0.9, 'sound/look.tap/shut_or_blocked' => 0.0986]];
        yield 'and one that has it over' => [['sound/look.tap/open_and_flows' => 0.9, 'sound/look.tap/shut_or_blocked' => 0.1014]];
        yield 'what a fault always shows' => [['faults/fuel.stale/shows/run.load/sags' => 1.0]];
        yield 'and with what rounding gave it' => [['faults/fuel.stale/shows/run.load/sags' => 0.9, 'faults/fuel.stale/shows/run.load/dies' => 0.1014]];
        yield 'and what it never does' => [['faults/fuel.stale/shows/run.load/sags' => 0.0]];
    }

    /** @param array<string, float> $changes */
    #[DataProvider('atTheEnds')]
    public function testTakesWhatCanJustBe(array $changes): void
    {
        $odds = Odds::shipped()->with($changes);
        self::assertSame($changes, array_combine(array_keys($changes), array_map($odds->at(...), array_keys($changes))));
    }

    public function testWhatARowOfAFaultDoesNotNameItDoesNotShow(): void
    {
        $odds = Odds::shipped();
        $odds->check('faults/fuel.stale/shows/run.load/dies');
        foreach (['faults/fuel.stale/prior/again', 'sound/look.tap/sideways', 'claims/claim.tipped/no/shows', 'nothing'] as $path) {
            try {
                $odds->check($path);
                self::fail($path);
            } catch (ImpossibleOdds $impossible) {
                self::assertSame('odds.no_such_number', $impossible->reason());
            }
        }
    }

    public function testAWholeRowMayBeChangedTogether(): void
    {
        $odds = Odds::shipped()->with(['sound/look.tap/open_and_flows' => 0.9, 'sound/look.tap/shut_or_blocked' => 0.1]);
        self::assertSame(0.1, $odds->at('sound/look.tap/shut_or_blocked'));
        self::assertNotSame(0.1, Odds::shipped()->at('sound/look.tap/shut_or_blocked'));
        $odds = Odds::shipped()->with(['faults/fuel.stale/shows/run.load/sags' => 0.2]);
        self::assertSame(0.2, $odds->at('faults/fuel.stale/shows/run.load/sags'), 'a fault may be given a test it did not show in');
        self::assertNull($odds->at('faults/fuel.stale/shows/run.load/dies'));
    }
}
