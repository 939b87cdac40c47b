<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Fuel;

use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Fuel\JarReading;
use AwakeShed\Core\Fuel\JarSample;
use AwakeShed\Core\Units\ImpossibleAmount;
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
}
