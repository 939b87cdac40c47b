<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Diagnosis;

use AwakeShed\Core\Diagnosis\ClaimBelief;
use AwakeShed\Core\Evidence\Finding;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ClaimBeliefTest extends TestCase
{
    /** Odds by hand: what such claims are worth, times what each finding does to it. Half-way believed, 2 : 1 against by one look, 1 : 4 for by a number. */
    private const RULE = ['base' => 0.5, 'against' => ['look.plug' => ['oily' => 0.5, 'gas_wet' => 0.8, 'sooty' => 0.6], 'look.exhaust' => ['oil_wet' => 0.25]], 'above' => ['jar.ethanol_percent' => [12.5, 0.2]], 'below' => ['jar.ethanol_percent' => [1.5, 4]]];

    /** @return iterable<string, array{array<string, string|int>, float, list<string>, bool}> findings; believed; against it; contradicted */
    public static function findings(): iterable
    {
        yield 'nothing found' => [[], 0.5, [], false];
        yield 'a look that says nothing of it' => [['look.plug' => 'dry'], 0.5, [], false];
        yield 'one look: 1 to 2' => [['look.plug' => 'oily'], 1 / 3, ['look.plug'], true];
        yield 'a weak one: 4 to 5, against it and yet believed' => [['look.plug' => 'gas_wet'], 4 / 9, ['look.plug'], false];
        yield 'three to five: three quarters of it are left, which is enough' => [['look.plug' => 'sooty'], 3 / 8, ['look.plug'], false];
        yield 'two looks: 1 to 8' => [['look.plug' => 'oily', 'look.exhaust' => 'oil_wet'], 1 / 9, ['look.plug', 'look.exhaust'], true];
        yield 'a number above: 1 to 5' => [['jar.ethanol_percent' => 13], 1 / 6, ['jar.ethanol_percent'], true];
        yield 'a number between' => [['jar.ethanol_percent' => 12], 0.5, [], false];
        yield 'a number below speaks for it: 4 to 1' => [['jar.ethanol_percent' => 1], 0.8, [], false];
    }

    /**
     * @param array<string, string|int> $findings
     * @param list<string>              $against
     */
    #[DataProvider('findings')]
    public function testIsBelievedByItsOdds(array $findings, float $believed, array $against, bool $isContradicted): void
    {
        $belief = new ClaimBelief(self::RULE);
        $case = Assessing::case($findings, 'mower');

        self::assertEqualsWithDelta($believed, $belief->probability($case), 1e-12);
        self::assertSame($against, array_keys($belief->against($case)));
        self::assertSame($isContradicted, $belief->isContradicted($case));
        // Never worth more than such a claim usually is.
        self::assertEqualsWithDelta(min(1.0, 2 * $believed), $belief->standing($case), 1e-12);
    }

    public function testANumberAtItsLimitSaysNothing(): void
    {
        $belief = new ClaimBelief(['base' => 0.5, 'above' => ['jar.ethanol_percent' => [12, 0.2]], 'below' => ['jar.ethanol_percent' => [12, 0.2]]]);
        self::assertSame(0.5, $belief->probability(Assessing::case(['jar.ethanol_percent' => 12], 'mower')));
    }

    public function testMeasuredEthanolAnswersTheClaim(): void
    {
        foreach ([[0.0, 'ethanol_free'], [2.5, 'ethanol_free'], [2.6, 'e10'], [12.5, 'e10'], [12.6, 'e15'], [85.0, 'e15']] as [$percent, $kind]) {
            $case = Assessing::case([], 'mower')->with(Finding::number('jar.ethanol_percent', $percent));
            self::assertSame($kind, ClaimBelief::measured('claim.fuel_kind', $case), "$percent %");
            self::assertNull(ClaimBelief::measured('claim.tipped', $case));
        }
        self::assertNull(ClaimBelief::measured('claim.fuel_kind', Assessing::case([], 'mower')));
    }
}
