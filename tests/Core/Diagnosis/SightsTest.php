<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Diagnosis;

use AwakeShed\Core\Diagnosis\Odds;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Tests\Seeded;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What somebody has looked at is there, whatever else is found; and what was only said is never as sure. */
final class SightsTest extends TestCase
{
    private const SEEN = 0.97;

    /** @return iterable<string, array{string, string, string}> test, outcome, fault */
    public static function sights(): iterable
    {
        foreach (Odds::shipped()->senses['sights'] as $test => $sights) {
            foreach ($sights as $outcome => $fault) {
                yield "$test, $outcome" => [$test, $outcome, $fault];
            }
        }
    }

    #[DataProvider('sights')]
    public function testNothingElseThatIsFoundLowersASight(string $test, string $outcome, string $fault): void
    {
        $vocabulary = Vocabulary::shipped();
        $random = new Seeded(\strlen($test.$outcome));
        $tests = array_values(array_filter($vocabulary->tests, static fn ($one): bool => !$one->takesNumber() && $one->id !== $test));
        foreach (MachineKind::cases() as $kind) {
            if (!$vocabulary->applies($test, new MachineFacts($kind)) || !isset(self::beliefs([], $kind->value)[$fault]) || 0.0 === self::beliefs([], $kind->value)[$fault]) {
                continue;
            }
            $findings = [$test => $outcome];
            self::assertGreaterThanOrEqual(self::SEEN, self::beliefs($findings, $kind->value)[$fault], $kind->value);
            for ($draw = 0; $draw < 14; ++$draw) {
                $other = $random->one($tests);
                $findings[$other->id] = $random->one($other->outcomes ?? ['']);
            }
            self::assertGreaterThanOrEqual(self::SEEN, self::beliefs($findings, $kind->value)[$fault], $kind->value.json_encode($findings, \JSON_THROW_ON_ERROR));
        }
    }

    /** @return iterable<string, array{array<string, string>, array<string, string>, string, string}> seen, found then, fault, kind */
    public static function triedAndLost(): iterable
    {
        yield 'oil below the mark, and smoke that persists' => [['look.oil_level' => 'below_mark'], ['run.smoke' => 'persists', 'look.plug' => 'oily'], 'oil.low', 'mower'];
        yield 'lash out of range, and a bent pushrod' => [['valve.lash' => 'out_of_range'], ['valve.travel' => 'pushrod_bent', 'compression.gauge' => 'none'], 'valve.lash_or_stuck', 'mower'];
        yield 'a nest in the filter, and mice over the fins' => [['look.air_filter' => 'nest'], ['look.cooling' => 'nest'], 'air.restricted', 'generator'];
        yield 'a hose off, and a torn gasket' => [['look.prior_work' => 'hose_off'], ['intake.gasket' => 'torn_or_hard', 'run.steady' => 'steady'], 'hose.off', 'mower'];
        yield 'a bowl that drips, and a needle that leaks' => [['leak.static' => 'bowl'], ['needle.pressure' => 'leaks'], 'carb.bowl_leaks', 'mower'];
        yield 'pitted metal, and passages that are free' => [['body.metal' => 'pitted'], ['passages.spray' => 'all_exit', 'run.steady' => 'steady'], 'carb.corroded', 'mower'];
        yield 'crystals in the bowl, and clear jets' => [['bowl.inside' => 'crystals'], ['jet.main' => 'clear', 'jet.pilot' => 'clear'], 'carb.bowl_fouled', 'mower'];
        yield 'oil out of the plug hole, and a plug like new' => [['pull.ejecta' => 'oil'], ['look.plug' => 'like_new', 'look.carb_outside' => 'dry'], 'cylinder.hydrolock_oil', 'mower'];
    }

    /**
     * @param array<string, string> $seen
     * @param array<string, string> $then
     */
    #[DataProvider('triedAndLost')]
    public function testASightIsNotExplainedAway(array $seen, array $then, string $fault, string $kind): void
    {
        self::assertGreaterThanOrEqual(self::SEEN, self::beliefs($seen, $kind)[$fault]);
        self::assertGreaterThanOrEqual(self::SEEN, self::beliefs($seen + $then, $kind)[$fault]);
    }

    public function testAnActOrALaterLookLowersIt(): void
    {
        self::assertLessThan(0.1, self::beliefs(['look.oil_level' => 'below_mark'], 'mower', new PutRight('oil.low'))['oil.low']);
        $twice = Assessing::case(['look.oil_level' => 'below_mark'], 'mower')->with(Finding::observed('look.oil_level', 'at_mark'));
        self::assertLessThan(0.1, Assessing::assessor()->beliefs($twice)['oil.low']);
    }

    public function testHearsayAloneNamesNothing(): void
    {
        $claims = ['claim.idle_months' => 84, 'claim.fuel_kind' => 'e10', 'claim.layup' => 'fuel_left_in', 'claim.tipped' => 'yes', 'claim.struck_something' => 'yes', 'claim.tank_fuel_age' => 'old', 'claim.someone_tried' => 'yes'];
        $said = [];
        foreach (array_keys(Vocabulary::shipped()->faults) as $fault) {
            foreach (Odds::shipped()->numbers['faults'][$fault]['shows']['claim.last_behaviour'] ?? [] as $behaviour => $_) {
                $said[(string) $behaviour] = true;
            }
        }
        foreach (array_keys($said) as $behaviour) {
            foreach (MachineKind::cases() as $kind) {
                foreach (Assessing::of($claims + ['claim.last_behaviour' => $behaviour], $kind->value)->faults as $suspect) {
                    self::assertFalse($suspect->isSure(), "$suspect->fault of a $kind->value whose owner says $behaviour");
                }
            }
        }
    }

    public function testMostOfAMachineLookedAtAndFoundGoodIsSound(): void
    {
        foreach (MachineKind::cases() as $kind) {
            $machine = new MachineFacts($kind);
            $findings = ['claim.idle_months' => 8, 'claim.fuel_kind' => 'ethanol_free', 'claim.layup' => 'stabilised'];
            foreach (Odds::shipped()->numbers['sound'] as $test => $shares) {
                if (!str_starts_with($test, 'claim.') && Vocabulary::shipped()->applies($test, $machine)) {
                    $findings[$test] = (string) array_key_first($shares);
                }
            }
            // Fed by hand, a sound engine fires and dies; that is what the first outcome says.
            $assessment = Assessing::of($findings, $kind->value);
            self::assertLessThan(0.1, $assessment->faults[0]->probability, $kind->value.': '.$assessment->faults[0]->fault);
            self::assertLessThan(0.25, max($assessment->split->sides), $kind->value);
            self::assertSame([], $assessment->next, $kind->value.': everything was looked at');
        }
    }

    /**
     * @param array<string, string|int> $findings
     *
     * @return array<string, float>
     */
    private static function beliefs(array $findings, string $kind, PutRight ...$cures): array
    {
        return Assessing::assessor()->beliefs(Assessing::case($findings, $kind, ...$cures));
    }
}
