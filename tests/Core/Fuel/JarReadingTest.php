<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Fuel;

use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Fuel\FuelColour;
use AwakeShed\Core\Fuel\FuelSmell;
use AwakeShed\Core\Fuel\FuelVerdict;
use AwakeShed\Core\Fuel\JarReading;
use AwakeShed\Core\Fuel\JarSample;
use AwakeShed\Core\Fuel\OldFuelSchool;
use AwakeShed\Core\Refusal;
use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Tests\Core\Facts;
use AwakeShed\Tests\Kept;
use AwakeShed\Tests\Seeded;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * @phpstan-import-type JarArray from JarReading
 */
final class JarReadingTest extends TestCase
{
    private const FULL = [
        'layers' => ['height_mm' => 92.5, 'total_ml' => 80.0, 'lower_ml' => 14.0, 'edge' => 'rag'],
        'look' => ['clarity' => 'hazy', 'colour' => 'amber', 'specks' => ['dirt', 'jelly'], 'smell' => 'stale'],
        'age' => ['months' => 26.0],
        'shift' => ['fuel_ml' => 90.0, 'water_ml' => 10.0, 'aqueous_ml' => 18.3, 'celsius' => 18.0, 'error_ml' => 0.5],
        'dose' => ['dose_ml' => 10.0, 'before_ml' => 14.0, 'after_ml' => 27.0],
        'tank' => ['volume_ml' => 950.0, 'now_celsius' => 12.0, 'tonight_celsius' => -4.0],
    ];

    public function testGoesToAnArrayAndBackUnchanged(): void
    {
        self::assertSame(self::FULL, JarReading::fromArray(self::FULL)->toArray());
        self::assertSame(['age' => ['months' => 0.333333]], JarReading::fromArray(['age' => ['months' => 1 / 3]])->toArray(), 'no digit that nobody read');
        self::assertTrue((new JarReading())->isBlank());
        self::assertSame(['age' => []], JarReading::fromArray(['age' => []])->toArray());
    }

    public function testOneLayerHasNoEdge(): void
    {
        $jar = JarReading::fromArray(['layers' => ['height_mm' => 90, 'total_ml' => 80, 'lower_ml' => 0, 'edge' => 'rag']]);
        self::assertNull($jar->layers?->edge);
    }

    public function testTheLowerLayerIsNeverMoreThanTheJar(): void
    {
        $this->expectException(ImpossibleAmount::class);
        JarReading::fromArray(['layers' => ['height_mm' => 90, 'total_ml' => 80, 'lower_ml' => 81]]);
    }

    /** @return iterable<string, array{JarArray, JarSample, array<string, list<string>>}> */
    public static function sayings(): iterable
    {
        $clear = ['layers' => ['height_mm' => 90, 'total_ml' => 80, 'lower_ml' => 0], 'look' => ['clarity' => 'clear', 'smell' => 'fresh']];
        yield 'clear from the tank' => [$clear, JarSample::Tank, ['jar.tank' => ['clear_one_layer'], 'jar.smell' => ['fresh']]];
        yield 'clear from the bowl' => [$clear, JarSample::Bowl, ['flow.bowl_drain' => ['clean']]];
        yield 'several at once' => [['layers' => ['height_mm' => 90, 'total_ml' => 80, 'lower_ml' => 9], 'look' => ['clarity' => 'hazy', 'specks' => ['rust']]], JarSample::Tank, ['jar.tank' => ['two_layers', 'hazy', 'dark_or_sediment']]];
        yield 'water and jelly in the bowl' => [['layers' => ['height_mm' => 40, 'total_ml' => 25, 'lower_ml' => 3], 'look' => ['specks' => ['jelly']]], JarSample::Bowl, ['flow.bowl_drain' => ['water_beads', 'jelly']]];
        yield 'an empty tank' => [['layers' => ['height_mm' => 40, 'total_ml' => 0, 'lower_ml' => 0]], JarSample::Tank, ['jar.tank' => ['empty']]];
        yield 'a bowl that gave nothing' => [['layers' => ['height_mm' => 40, 'total_ml' => 0, 'lower_ml' => 0]], JarSample::Bowl, ['flow.bowl_drain' => ['nothing']]];
        yield 'poured, not looked at yet' => [['layers' => ['height_mm' => 40, 'total_ml' => 20, 'lower_ml' => 0]], JarSample::Tank, []];
        yield 'clear, but layers not read' => [['look' => ['clarity' => 'clear']], JarSample::Tank, []];
    }

    /**
     * @param JarArray                    $array
     * @param array<string, list<string>> $said
     */
    #[DataProvider('sayings')]
    public function testSpeaksTheVocabulary(array $array, JarSample $sample, array $said): void
    {
        $findings = JarReading::fromArray($array)->findings($sample);
        self::assertSame($said, array_combine(
            array_map(static fn (Finding $finding): string => $finding->test, $findings),
            array_map(static fn (Finding $finding): array => $finding->outcomes, $findings),
        ));
        array_map(Vocabulary::shipped()->check(...), $findings);
    }

    public function testCarriesTheMeasuredEthanolWithItsUncertainty(): void
    {
        $findings = JarReading::fromArray(self::FULL)->findings(JarSample::Tank);
        $ethanol = array_values(array_filter($findings, static fn (Finding $finding): bool => 'jar.ethanol_percent' === $finding->test))[0];
        self::assertEqualsWithDelta(9.97, $ethanol->number, 0.05);
        self::assertArrayHasKey('half_width_percent', $ethanol->measured);
    }

    public function testASmellSaidElsewhereCountsOnlyWhereNobodySaidItHere(): void
    {
        $said = JarReading::fromArray(self::FULL);
        self::assertSame(FuelSmell::Stale, $said->smelling(FuelSmell::Varnish)->look->smell);
        self::assertSame(FuelSmell::Stale, $said->smelling(null)->look->smell);
        $unsaid = JarReading::fromArray(['look' => ['clarity' => 'hazy', 'colour' => 'amber', 'specks' => ['dirt']]]);
        $smelled = $unsaid->smelling(FuelSmell::Varnish);
        self::assertSame(FuelSmell::Varnish, $smelled->look->smell);
        self::assertEquals([$unsaid->look->clarity, $unsaid->look->colour, $unsaid->look->specks], [$smelled->look->clarity, $smelled->look->colour, $smelled->look->specks]);
        self::assertNull($unsaid->smelling(null)->look->smell);
    }

    /** Jars as nobody reads them, and all that is made of them. */
    public function testJarsByChanceSayWhatTheySaid(): void
    {
        $lines = [];
        for ($seed = 1; $seed <= 80; ++$seed) {
            $dice = new Seeded($seed);
            $total = $dice->float(0, 120);
            $array = [];
            if (0 < $dice->int(0, 3)) {
                $array['layers'] = ['height_mm' => $dice->float(10, 150), 'total_ml' => $total, 'lower_ml' => $dice->one([0.0, 0.0, $total / 5, $total, 9.0]), 'edge' => $dice->one(['sharp', 'rag'])];
            }
            if (0 < $dice->int(0, 3)) {
                $array['look'] = ['clarity' => $dice->one(['clear', 'hazy']), 'colour' => $dice->one(array_column(FuelColour::cases(), 'value')), 'specks' => $dice->one([[], ['dirt'], ['rust', 'jelly']]), 'smell' => $dice->one(array_column(FuelSmell::cases(), 'value'))];
            }
            if (0 < $dice->int(0, 1)) {
                $array['age'] = ['months' => $dice->one([1.0, 6.0, 7.0, 26.0])];
            }
            if (0 < $dice->int(0, 1)) {
                $array['shift'] = ['fuel_ml' => 90.0, 'water_ml' => 10.0, 'aqueous_ml' => $dice->float(10, 25), 'celsius' => $dice->float(5, 30), 'error_ml' => $dice->one([0.5, 1.0, 2.0])];
            }
            if (0 < $dice->int(0, 1)) {
                $array['dose'] = ['dose_ml' => 10.0, 'before_ml' => $dice->float(0, 20), 'after_ml' => $dice->float(15, 40)];
            }
            if (0 < $dice->int(0, 1)) {
                $array['tank'] = ['volume_ml' => $dice->float(100, 4000), 'now_celsius' => $dice->float(-10, 30), 'tonight_celsius' => $dice->float(-18, 20)];
            }
            try {
                $jar = JarReading::fromArray($array);
                $verdict = FuelVerdict::onJar($jar, $dice->one(OldFuelSchool::cases()));
                $said = implode(', ', array_map(static fn (JarSample $sample): string => $sample->name.': '.Facts::of($jar->findings($sample)), JarSample::cases())).'; '.Facts::of($verdict).'; goes to '.FuelVerdict::streamOf($jar)->value.($jar->isBlank() ? ', blank' : '');
            } catch (Refusal $impossible) {
                $said = $impossible->getMessage();
            }
            $lines[] = Kept::short("$seed, ".implode(' ', array_keys($array)).": $said");
        }
        Kept::is(\dirname(__DIR__).'/Kept/jars-by-chance.txt', $lines);
    }
}
