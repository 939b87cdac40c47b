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
    /** @return iterable<string, array{string, array<string, int|float>, string, float, float}> name, inputs, output, expected, tolerance */
    public static function worked(): iterable
    {
        yield 'settling' => ['settling', ['height_mm' => 100, 'drop_um' => 50], 'seconds', 147, 0.5];
        yield 'water shift' => ['water-shift', ['fuel_ml' => 90, 'water_ml' => 10, 'aqueous_ml' => 18.3], 'corrected', 0.0996, 0.0001];
        yield 'water tolerance' => ['water-tolerance', ['celsius' => 15.6, 'tank_ml' => 3785.41], 'water_ml', 3.8 * 4.929, 0.1];
        yield 'fuel in oil' => ['fuel-in-oil', ['mark_ml' => 950, 'drained_ml' => 1000], 'viscosity_40_cst', 56, 0.35];
        yield 'fuel over the mark' => ['fuel-over-mark', ['mark_ml' => 500, 'over_mm' => 10, 'ml_per_mm' => 12.5], 'dilution', 0.2, 1e-9];
        yield 'flush plan' => ['flush-plan', ['dilution' => 0.4, 'left_share' => 0.3, 'mark_ml' => 600], 'changes', 3, 0];
        yield 'jet' => ['jet', ['bore_mm' => 0.4064], 'next_drill_flow', 1.266, 0.0005];
        yield 'fuel need' => ['fuel-need', ['displacement_cc' => 160, 'rpm' => 3000], 'ml_per_min', 22.3, 0.05];
        yield 'blade tip' => ['blade-tip', ['blade_mm' => 533.4], 'fastest_rpm', 3456, 0.5];
        yield 'altitude' => ['altitude', ['altitude_m' => 1500, 'gauge_psi' => 83.45], 'sea_level_psi', 100, 0.05];
        yield 'nozzle' => ['nozzle', ['gal_per_min' => 3, 'psi' => 2500], 'size', 3.79, 0.005];
        yield 'premix' => ['premix', ['fuel_ml' => 1000, 'parts_to_one' => 32], 'measure_ml', 31.25, 1e-9];
        yield 'hydrolock' => ['hydrolock', ['displacement_cc' => 160, 'compression_ratio' => 8.5, 'liquid_ml' => 10], 'effective_compression', 15.1, 0.05];
    }

    /** @param array<string, int|float> $inputs */
    #[DataProvider('worked')]
    public function testComputesWhatWasWorkedByHand(string $name, array $inputs, string $output, float $expected, float $tolerance): void
    {
        $tester = self::tester();
        self::assertSame(0, $tester->execute(['name' => $name, '--in' => json_encode($inputs, \JSON_THROW_ON_ERROR)]));
        $result = json_decode($tester->getDisplay(), true, 16, \JSON_THROW_ON_ERROR);
        self::assertIsArray($result);
        self::assertIsArray($result['out']);
        self::assertEqualsWithDelta($expected, $result['out'][$output], $tolerance);
        self::assertMatchesRegularExpression('/published|common practice|from memory/', \is_string($result['source']) ? $result['source'] : '');
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
            self::assertTrue((new Validator())->validate((object) $inputs, $schema)->isValid(), $name);
            self::assertFalse((new Validator())->validate((object) ($inputs + ['more' => 1]), $schema)->isValid(), $name);
        }
    }

    /** @return iterable<string, array{array<string, string>, list<string>}> arguments, lines */
    public static function bad(): iterable
    {
        yield 'no such calculation' => [['name' => 'horoscope'], ['/: there is no such calculation; --list names them.']];
        yield 'no JSON' => [['name' => 'hydrolock', '--in' => '{'], ['/: not JSON: Syntax error.']];
        yield 'a list' => [['name' => 'hydrolock', '--in' => '[1]'], ['/: an object is wanted.']];
        yield 'every problem with its place' => [['name' => 'hydrolock', '--in' => '{"displacement_cc":-5,"liquid_ml":"much","oil":1}'], [
            '/displacement_cc: -5 cm³, allowed 10 to 2000.', '/compression_ratio: missing.', '/liquid_ml: a number is wanted.', '/oil: no input of this calculation.',
        ]];
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

    private static function tester(): CommandTester
    {
        return new CommandTester((new Application(self::bootKernel()))->find('shed:calc'));
    }
}
