<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Calc;

use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;
use Symfony\Component\Console\Tester\CommandTester;

final class CalcCommandTest extends KernelTestCase
{
    /** @return iterable<string, array{string, array<string, mixed>, string, float, float}> name, inputs, output, expected, tolerance */
    public static function worked(): iterable
    {
        yield 'settling' => ['settling', ['height_mm' => 100, 'drop_um' => 50], 'seconds', 147, 0.5];
        yield 'water shift' => ['water-shift', ['fuel_ml' => 90, 'water_ml' => 10, 'aqueous_ml' => 18.3], 'corrected', 0.0996, 0.0001];
        yield 'water tolerance' => ['water-tolerance', ['celsius' => 15.6, 'tank_ml' => 3785.41], 'water_ml', 3.8 * 4.929, 0.1];
        yield 'fuel in oil' => ['fuel-in-oil', ['mark_ml' => 950, 'drained_ml' => 1000, 'left_ml' => 0], 'viscosity_40_cst', 56, 0.35];
        yield 'fuel over the mark' => ['fuel-over-mark', ['mark_ml' => 500, 'over_mm' => 10, 'ml_per_mm' => 12.5], 'dilution', 0.2, 1e-9];
        yield 'flush plan' => ['flush-plan', ['dilution' => 0.4, 'left_share' => 0.3, 'mark_ml' => 600], 'changes', 3, 0];
        yield 'jet' => ['jet', ['bore_mm' => 0.4064], 'next_drill_flow', 1.266, 0.0005];
        yield 'fuel need' => ['fuel-need', ['displacement_cc' => 160, 'rpm' => 3000], 'ml_per_min', 22.3, 0.05];
        yield 'blade tip' => ['blade-tip', ['blade_mm' => 533.4], 'fastest_rpm', 3456, 0.5];
        yield 'blade track' => ['blade-track', ['one_side_mm' => 20, 'other_side_mm' => 26.35], 'off_mm', 6.35, 1e-9];
        yield 'compression' => ['compression', ['altitude_m' => 1500, 'gauge_psi' => 83.45], 'sea_level_psi', 100, 0.05];
        yield 'leak-down' => ['leak-down', ['regulated_psi' => 100, 'cylinder_psi' => 60], 'leak', 0.4, 1e-9];
        yield 'pull log' => ['pull-log', ['thrown_ml' => [8, 4, 0]], 'thrown_in_all_ml', 12, 1e-9];
        yield 'valve lash' => ['valve-lash', ['measured_mm' => 0.05], 'to_middle_mm', 0.09, 1e-9];
        yield 'coil gap' => ['coil-gap', ['measured_mm' => 0.254], 'thou', 10, 1e-6];
        yield 'plug gap' => ['plug-gap', ['measured_mm' => 0.762], 'thou', 30, 1e-6];
        yield 'coil' => ['coil', ['good_kohm' => 4, 'suspect_kohm' => 3], 'difference', -0.25, 1e-9];
        yield 'flow test' => ['flow-test', ['displacement_cc' => 160, 'rpm' => 3000, 'cup_1_ml' => 45, 'cup_2_ml' => 30], 'settled_ml_per_min', 60, 1e-9];
        yield 'jet enlarging' => ['jet-enlarging', ['bore_mm' => 0.70, 'to_mm' => 0.75], 'area_change', 0.148, 0.0005];
        yield 'repair' => ['repair', ['replace_worked' => 0], 'replace_cost', 81.05, 0.01];
        yield 'alternator' => ['alternator', ['rpm' => 3735, 'loaded_rpm' => 3600, 'band_percent' => 1], 'droop_percent', 3.75, 1e-9];
        yield 'inlet flow' => ['inlet-flow', ['bucket_ml' => 18927.06, 'seconds' => 90, 'gal_per_min' => 3], 'margin', 1.111, 0.001];
        yield 'stabilizer' => ['stabilizer', ['fuel_ml' => 5000, 'label_dose_ml' => 30, 'label_fuel_ml' => 10000], 'measure_ml', 15, 1e-9];
        yield 'season oil' => ['season-oil', ['coldest_celsius' => -10, 'mark_ml' => 600], 'fill_ml', 600, 1e-9];
        yield 'generator under load' => ['generator-load', ['watts' => [0, 1500, 3000], 'volts' => [124, 121, 118], 'hertz' => [62.4, 61.2, 60]], 'droop_percent', 4, 1e-9];
        yield 'battery' => ['battery', ['rested_volts' => 12.345], 'charge', 0.625, 1e-9];
        yield 'washer' => ['washer-check', ['gal_per_min' => 3, 'psi' => 2500, 'measured_gal_per_min' => 3, 'measured_psi' => 1600], 'effective_size', 4.743, 0.001];
        yield 'two-stroke crankcase' => ['crankcase-leak', ['start_psi' => 7, 'end_psi' => 4, 'seconds' => 180], 'loss_psi_per_min', 1, 1e-9];
        yield 'oil in the cold' => ['winter-grade', ['grade' => '5W', 'coldest_celsius' => -32], 'cranks_to_celsius', -30, 1e-9];
        yield 'old fuel' => ['old-fuel', ['months' => 24, 'kept' => 'vented'], 'loss_most', 0.6975, 1e-9];
        yield 'jar by a photo' => ['jar-photo', ['bottom' => [500, 900], 'interface' => [500, 780], 'surface' => [500, 300], 'total_ml' => 100], 'lower_ml', 20, 1e-9];
        yield 'dipstick by a photo' => ['stick-photo', ['low_mark' => [100, 500], 'full_mark' => [400, 100], 'oil' => [250, 300]], 'between_marks', 0.5, 1e-9];
        yield 'blade by photos' => ['blade-photo', ['one_tip' => [0, 0], 'one_deck' => [200, 0], 'one_rule_from' => [0, 100], 'one_rule_to' => [1000, 100], 'other_tip' => [0, 0], 'other_deck' => [0, 280], 'other_rule_from' => [0, 0], 'other_rule_to' => [0, 1000], 'rule_mm' => 100], 'off_mm', 8, 1e-9];
        yield 'quote' => ['quote', ['faults' => ['spark.plug_bad' => 1.0], 'wage_per_hour' => 60, 'base_hours' => 0.75], 'quote_middle', 57.5, 2];
        yield 'needle by a hand gauge' => ['needle-gauge', ['lifts_psi' => 7.5, 'seats_psi' => 6.4, 'after_minute_psi' => 5.9], 'loss_psi_per_min', 0.5, 1e-9];
        yield 'needle trace' => ['needle-trace', ['csv' => self::needle()], 'pop_off_psi', 7.5, 0.3];
        yield 'speed trace' => ['speed-trace', ['csv' => "t [s],f [Hz]\n".implode("\n", array_map(static fn (int $n): string => 0.1 * $n.',60', range(0, 200)))], 'mean_rpm', 3600, 0.1];
        yield 'nozzle' => ['nozzle', ['gal_per_min' => 3, 'psi' => 2500], 'size', 3.79, 0.005];
        yield 'premix' => ['premix', ['fuel_ml' => 1000, 'parts_to_one' => 32], 'measure_ml', 31.25, 1e-9];
        yield 'hydrolock' => ['hydrolock', ['displacement_cc' => 160, 'compression_ratio' => 8.5, 'liquid_ml' => 10], 'effective_compression', 15.1, 0.05];
    }

    /** @param array<string, mixed> $inputs */
    #[DataProvider('worked')]
    public function testComputesWhatWasWorkedByHand(string $name, array $inputs, string $output, float $expected, float $tolerance): void
    {
        $tester = self::tester();
        self::assertSame(0, $tester->execute(['name' => $name, '--in' => json_encode($inputs, \JSON_THROW_ON_ERROR)]));
        $result = json_decode($tester->getDisplay(), true, 16, \JSON_THROW_ON_ERROR);
        self::assertIsArray($result);
        self::assertIsArray($result['out']);
        self::assertEqualsWithDelta($expected, $result['out'][$output], $tolerance);
        self::assertMatchesRegularExpression('/published|common practice|from memory/i', \is_string($result['source']) ? $result['source'] : '');
    }

    public function testEveryCalculationIsListedAndDescribedByASchemaItsInputsPass(): void
    {
        $tester = self::tester();
        $tester->execute(['--list' => true]);
        $listed = array_map(static fn (string $line): string => explode(' ', $line)[0], explode("\n", trim($tester->getDisplay())));
        self::assertEqualsCanonicalizing(array_column(iterator_to_array(self::worked()), 0), $listed);
        foreach (self::worked() as [$name, $inputs]) {
            $tester->execute(['name' => $name, '--describe' => true]);
            $schema = $tester->getDisplay();
            self::assertTrue((new Validator())->validate(self::asJson($inputs), $schema)->isValid(), $name);
            self::assertFalse((new Validator())->validate(self::asJson($inputs + ['more' => 1]), $schema)->isValid(), $name);
        }
    }

    /** @return iterable<string, array{array<string, string>, list<string>}> arguments, lines */
    public static function bad(): iterable
    {
        yield 'no such calculation' => [['name' => 'horoscope'], ['/: there is no such calculation; --list names them.']];
        yield 'no JSON' => [['name' => 'hydrolock', '--in' => '{'], ['/: not JSON: Syntax error.']];
        yield 'a list' => [['name' => 'hydrolock', '--in' => '[1]'], ['/: an object is wanted.']];
        yield 'every problem with its place' => [['name' => 'hydrolock', '--in' => '{"displacement_cc":-5,"liquid_ml":"much","oil":1}'], [
            '/displacement_cc: -5 cm³, allowed 10 to 2000.', '/liquid_ml: a number is wanted.', '/oil: no input of this calculation.',
        ]];
        yield 'of each kind of input' => [['name' => 'pull-log', '--in' => '{"thrown_ml":[1,-2],"liquid":"milk"}'], ['/thrown_ml: -2 mL, allowed 0 to 500.', '/liquid: one of gas, oil, mixture is wanted.']];
        yield 'a list where one is wanted' => [['name' => 'jet-enlarging', '--in' => '{"bore_mm":[0.7],"done":["swept"]}'], ['/bore_mm: a number is wanted.', '/done: some of everything_cleaned, gaskets_tight, needle_tested are wanted.']];
        yield 'a series with its line' => [['name' => 'needle-trace', '--in' => '{"csv":"t [s],p [psi]\\n0,1\\nx,y"}'], ['/csv: Line 3 is no time and value: "x,y".']];
        yield 'a drill between two numbers' => [['name' => 'jet', '--in' => '{"drill":77.6}'], ['/drill: 77.6 is not a whole number.']];
        yield 'possible alone, impossible together' => [['name' => 'water-shift', '--in' => '{"fuel_ml":90,"water_ml":10,"aqueous_ml":5}'], ['/: The lower layer reads 5 mL, less than the 10 mL of water poured in.']];
    }

    /**
     * @param array<string, string> $arguments
     * @param list<string>          $lines
     */
    #[DataProvider('bad')]
    public function testBadInputIsTwoAndALineForEachProblemOnStandardError(array $arguments, array $lines): void
    {
        $tester = self::tester();
        self::assertSame(2, $tester->execute($arguments, ['capture_stderr_separately' => true]));
        self::assertSame('', $tester->getDisplay());
        self::assertSame($lines, explode("\n", trim($tester->getErrorOutput())));
    }

    /** @param array<string, mixed> $inputs */
    private static function asJson(array $inputs): mixed
    {
        return json_decode(json_encode((object) $inputs, \JSON_THROW_ON_ERROR), false, 16, \JSON_THROW_ON_ERROR);
    }

    public function testTheExhaustIsReadAgainstARangeOfItsOwnWhereTheBookHasOne(): void
    {
        $read = static function (array $inputs): array {
            $tester = self::tester();
            self::assertSame(0, $tester->execute(['name' => 'valve-lash', '--in' => json_encode($inputs + ['measured_mm' => 0.12, 'spec_least_mm' => 0.1, 'spec_most_mm' => 0.2, 'exhaust_mm' => 0.25], \JSON_THROW_ON_ERROR)]));
            $said = json_decode($tester->getDisplay(), true, 16, \JSON_THROW_ON_ERROR);
            $out = \is_array($said) && \is_array($said['out']) ? $said['out'] : [];

            return [$out['fit'] ?? null, $out['exhaust_fit'] ?? null];
        };
        self::assertSame(['fits', 'fits'], $read(['exhaust_least_mm' => 0.2, 'exhaust_most_mm' => 0.3]));
        self::assertSame(['fits', 'wide'], $read([]), 'one range is for both');
    }

    public function testReadsStandardInput(): void
    {
        $tester = self::tester();
        $tester->setInputs(['{"fuel_ml":1000,"parts_to_one":50}']);
        self::assertSame(0, $tester->execute(['name' => 'premix', '--in' => '-']));
        self::assertStringContainsString('"measure_ml": 20', $tester->getDisplay());
    }

    /** @return iterable<string, array{string, array<string, mixed>, string}> what once misled: calculation, inputs, verdict */
    public static function misled(): iterable
    {
        yield 'a twin, one cylinder wet' => ['hydrolock', ['displacement_cc' => 700, 'liquid_ml' => 60], 'locked'];
        yield 'near the lock, by a typical ratio' => ['hydrolock', ['displacement_cc' => 160, 'liquid_ml' => 19], 'may_lock'];
        yield 'an even level is not clean' => ['fuel-in-oil', ['mark_ml' => 600, 'drained_ml' => 540], 'cannot_tell'];
        yield 'below the mark is reckoned' => ['fuel-in-oil', ['mark_ml' => 600, 'drained_ml' => 400], 'below_mark'];
        yield 'measured, it is clean' => ['fuel-in-oil', ['mark_ml' => 600, 'drained_ml' => 560, 'left_ml' => 40, 'error_ml' => 5], 'clean'];
        yield 'leak-down at the edge of good' => ['leak-down', ['cylinder_psi' => 90.2, 'error_psi' => 2], 'between'];
        yield 'heard at the muffler, not yet too much' => ['leak-down', ['cylinder_psi' => 78, 'hiss' => 'muffler'], 'worn_heard'];
        yield 'compression at the edge of good' => ['compression', ['gauge_psi' => 89, 'release' => 'not_fitted'], 'between'];
        yield 'a coil at the limit' => ['coil', ['good_kohm' => 4, 'suspect_kohm' => 3.42], 'at_limit'];
        yield 'a bucket that cannot tell' => ['inlet-flow', ['bucket_ml' => 18927, 'seconds' => 98, 'gal_per_min' => 3], 'may_be_short'];
        yield 'rated for another frequency' => ['alternator', ['rpm' => 3735, 'loaded_rpm' => 3600, 'band_percent' => 1, 'rated_hz' => 50], 'off_rated'];
        yield 'faster under load' => ['alternator', ['rpm' => 3600, 'loaded_rpm' => 3650, 'band_percent' => 1], 'faster_loaded'];
        yield 'exactly at the limits of a class' => ['alternator', ['rpm' => 3780, 'loaded_rpm' => 3600, 'band_percent' => 1.5], 'class'];
        yield 'half a range' => ['valve-lash', ['measured_mm' => 0.25, 'spec_least_mm' => 0.2], 'half_known'];
        yield 'intake and exhaust apart' => ['valve-lash', ['measured_mm' => 0.1, 'exhaust_mm' => 0.3], 'several'];
        yield 'the plugs of a twin' => ['plug-gap', ['measured_mm' => 0.7, 'other_mm' => 1.0], 'several'];
        yield 'colder than any oil cranks' => ['season-oil', ['coldest_celsius' => -45, 'mark_ml' => 600], 'too_cold'];
        yield 'an eighth is an eighth' => ['blade-track', ['one_side_mm' => 10, 'other_side_mm' => 13.175, 'rule_error_mm' => 0], 'true'];
        yield 'two steps at once' => ['jet-enlarging', ['bore_mm' => 0.4, 'to_mm' => 0.51, 'school' => 'next_size_up', 'done' => ['everything_cleaned', 'gaskets_tight', 'needle_tested']], 'too_far'];
        yield 'a stiff oil in a great cold' => ['fuel-in-oil', ['mark_ml' => 600, 'drained_ml' => 900, 'oil_cst_40' => 900, 'oil_cst_100' => 60, 'start_celsius' => -40], 'change_flush_cure'];
        yield 'a generator of class G2' => ['generator-load', ['watts' => [0, 3000], 'volts' => [122, 118], 'hertz' => [62.4, 60]], 'class'];
        yield 'a sagging one' => ['generator-load', ['watts' => [0, 3000], 'volts' => [122, 105], 'hertz' => [62.4, 56]], 'no_class'];
        yield 'one step is no test' => ['generator-load', ['watts' => [0], 'volts' => [122], 'hertz' => [62.4]], 'wanted'];
        yield 'a flat battery' => ['battery', ['rested_volts' => 12.1], 'low'];
        yield 'one that sags' => ['battery', ['rested_volts' => 12.6, 'cranking_volts' => 8.9], 'sags_cranking'];
        yield 'one that is not charged' => ['battery', ['rested_volts' => 12.6, 'charging_volts' => 12.7], 'not_charged'];
        yield 'one that boils' => ['battery', ['rested_volts' => 12.7, 'charging_volts' => 15.4], 'overcharged'];
        yield 'a worn nozzle' => ['washer-check', ['gal_per_min' => 3, 'psi' => 2500, 'measured_gal_per_min' => 3, 'measured_psi' => 1600], 'nozzle_worn'];
        yield 'a tap that gives too little' => ['washer-check', ['gal_per_min' => 3, 'psi' => 2500, 'measured_gal_per_min' => 2, 'measured_psi' => 1100], 'flow_low'];
        yield 'an unloader that does not open' => ['washer-check', ['gal_per_min' => 3, 'psi' => 2500, 'measured_gal_per_min' => 3, 'measured_psi' => 2500, 'released_psi' => 3600], 'unloader_stuck'];
        yield 'a gauge that cannot tell yet' => ['crankcase-leak', ['start_psi' => 7, 'end_psi' => 6.9, 'seconds' => 10], 'cannot_tell'];
        yield 'a two-stroke drinks at every turn' => ['fuel-need', ['displacement_cc' => 50, 'rpm' => 8000, 'cycle' => 'two_stroke', 'measured_ml_per_min' => 30], 'starves'];
        yield 'a four-stroke every other' => ['fuel-need', ['displacement_cc' => 50, 'rpm' => 8000, 'measured_ml_per_min' => 30], 'scant'];
        yield 'nothing costs anything' => ['repair', ['wage_per_hour' => 0, 'comeback_cost' => 0, 'clean_parts' => 0, 'kit_parts' => 0, 'replace_parts' => 0], 'toss_up'];
    }

    /** @param array<string, mixed> $inputs */
    #[DataProvider('misled')]
    public function testWhatOnceMisledNoLongerDoes(string $name, array $inputs, string $verdict): void
    {
        $tester = self::tester();
        $tester->execute(['name' => $name, '--in' => json_encode($inputs, \JSON_THROW_ON_ERROR)]);
        $result = json_decode($tester->getDisplay(), true, 16, \JSON_THROW_ON_ERROR);
        self::assertIsArray($result);
        self::assertIsArray($result['out']);
        self::assertSame($verdict, $result['out']['verdict']);
    }

    /** Pumped to 7.5 psi in three seconds, seated at 6.4, held a minute. */
    private static function needle(): string
    {
        $psi = static fn (float $t): float => $t <= 3 ? 2.5 * $t : 6.4;

        return "t [s],p [psi]\n".implode("\n", array_map(static fn (int $n): string => 0.05 * $n.','.$psi(0.05 * $n), range(0, 1260)));
    }

    private static function tester(): CommandTester
    {
        return new CommandTester((new Application(self::bootKernel()))->find('shed:calc'));
    }
}
