<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Diagnosis;

use AwakeShed\Core\Diagnosis\Cures;
use AwakeShed\Core\Diagnosis\Quote;
use AwakeShed\Core\Diagnosis\QuotedFault;
use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Tests\Seeded;
use PHPUnit\Framework\TestCase;

final class QuoteTest extends TestCase
{
    private const CHANCES = ['carb.pilot_blocked' => 0.7, 'carb.main_jet_blocked' => 0.5, 'carb.passages_blocked' => 0.3, 'spark.coil_dead' => 0.2, 'fuel.stale' => 0.9, 'cylinder.worn' => 0.05];

    public function testTheSpreadIsWhatALotOfJobsCome(): void
    {
        $cures = Cures::shipped();
        $random = new Seeded(3);
        $totals = [];
        for ($job = 0; $job < 20_000; ++$job) {
            $total = 45.0;
            // The carburetor is off once: of its faults the longest in full, of the others a quarter of their time.
            $isOff = false;
            foreach (['carb.passages_blocked', 'carb.pilot_blocked', 'carb.main_jet_blocked', 'spark.coil_dead', 'fuel.stale', 'cylinder.worn'] as $fault) {
                if ($random->float(0, 1) < self::CHANCES[$fault]) {
                    $share = $isOff && str_starts_with($fault, 'carb.') ? 0.25 : 1.0;
                    $isOff = $isOff || str_starts_with($fault, 'carb.');
                    [$quick, $slow] = $cures->minutes($fault);
                    [$cheap, $dear] = $cures->dollars($fault);
                    // A dollar a minute; labor and parts go together, from the cheapest to the dearest.
                    $total += $random->float($share * $quick + $cheap, $share * $slow + $dear);
                }
            }
            $totals[] = $total;
        }
        sort($totals);
        $quote = Quote::reckoned(self::CHANCES, $cures, 60.0, 0.75);
        self::assertEqualsWithDelta($totals[2_000], $quote->least(), 4.0);
        self::assertEqualsWithDelta($totals[10_000], $quote->middle(), 4.0);
        self::assertEqualsWithDelta($totals[18_000], $quote->most(), 5.0);
        foreach ([80, 110, 150] as $cap) {
            self::assertEqualsWithDelta(\count(array_filter($totals, static fn (float $total): bool => $total <= $cap)) / 20_000, $quote->within($cap), 0.03);
        }
    }

    public function testKnowingMoreNeverMakesItWider(): void
    {
        $cures = Cures::shipped();
        $sure = ['carb.pilot_blocked' => 1.0, 'spark.coil_dead' => 0.0, 'fuel.stale' => 1.0, 'cylinder.worn' => 0.0];
        self::assertLessThan(self::width(self::CHANCES), self::width($sure));
        self::assertSame(0.0, self::width([]));
        self::assertSame('cylinder.worn', array_key_first(Quote::reckoned(['cylinder.worn' => 0.5, 'spark.plug_bad' => 1.0], $cures, 60.0, 0.0)->faults));
    }

    public function testTheStepsAddUpToTheWork(): void
    {
        $quote = Quote::reckoned(['spark.plug_bad' => 1.0, 'carb.pilot_blocked' => 1.0, 'carb.main_jet_blocked' => 1.0], Cures::shipped(), 60.0, 0.75);
        // 6.5 minutes the plug; 32.5 the pilot and a quarter of 27.5 the main jet.
        self::assertEqualsWithDelta(6.5 / 60, $quote->steps['spark'], 1e-9);
        self::assertEqualsWithDelta((32.5 + 27.5 / 4) / 60, $quote->steps['carburetor'], 1e-9);
        [$least, $most] = $quote->hours();
        self::assertTrue($least <= array_sum($quote->steps) && array_sum($quote->steps) <= $most);
    }

    public function testWhereNothingIsLikelyOnlyTheLookingIsLeft(): void
    {
        self::assertSame(['looking' => 0.75, 'fuel' => 0.0, 'oil' => 0.0, 'carburetor' => 0.0, 'spark' => 0.0, 'engine' => 0.0, 'rest' => 0.0], Quote::reckoned([], Cures::shipped(), 60.0, 0.75)->steps);
    }

    public function testAFaultIsExpectedToCostItsMiddleByItsChance(): void
    {
        self::assertSame(10.0, (new QuotedFault(0.25, 20, 60))->expected());
    }

    public function testRefusesChancesThatAreNone(): void
    {
        $this->expectException(ImpossibleAmount::class);
        Quote::reckoned(['fuel.stale' => 1.2], Cures::shipped(), 60.0, 0.75);
    }

    /** @param array<string, float> $chances */
    private static function width(array $chances): float
    {
        $quote = Quote::reckoned($chances, Cures::shipped(), 60.0, 0.75);

        return $quote->most() - $quote->least();
    }
}
