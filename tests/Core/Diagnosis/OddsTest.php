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
            self::assertSame(array_key_first($changes), $impossible->figures()['path']);
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
