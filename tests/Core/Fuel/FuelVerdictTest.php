<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Fuel;

use AwakeShed\Core\Fuel\FuelDecision;
use AwakeShed\Core\Fuel\FuelReason;
use AwakeShed\Core\Fuel\FuelVerdict;
use AwakeShed\Core\Fuel\JarReading;
use AwakeShed\Core\Fuel\OldFuelSchool;
use AwakeShed\Core\Fuel\TankAction;
use AwakeShed\Core\Fuel\WasteStream;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * @phpstan-import-type JarArray from JarReading
 */
final class FuelVerdictTest extends TestCase
{
    private const SOUND = [
        'layers' => ['height_mm' => 100, 'total_ml' => 90, 'lower_ml' => 0],
        'look' => ['clarity' => 'clear', 'colour' => 'straw', 'specks' => [], 'smell' => 'fresh'],
        'age' => ['months' => 3],
    ];

    /** @return iterable<string, array{array<string, mixed>, FuelDecision, string|null}> changes to sound fuel, decision, leading reason */
    public static function jars(): iterable
    {
        yield 'clear, fresh and young' => [[], FuelDecision::Use, null];
        yield 'two layers' => [['layers' => ['height_mm' => 100, 'total_ml' => 90, 'lower_ml' => 12]], FuelDecision::Discard, 'two_layers'];
        yield 'two layers, blend separated' => [['layers' => ['height_mm' => 100, 'total_ml' => 90, 'lower_ml' => 12], 'dose' => ['dose_ml' => 10, 'before_ml' => 12, 'after_ml' => 26]], FuelDecision::Discard, 'separated'];
        yield 'two layers, free water' => [['layers' => ['height_mm' => 100, 'total_ml' => 90, 'lower_ml' => 12], 'dose' => ['dose_ml' => 10, 'before_ml' => 12, 'after_ml' => 22]], FuelDecision::Discard, 'free_water'];
        yield 'varnish outweighs haze' => [['look' => ['clarity' => 'hazy', 'colour' => 'amber', 'specks' => [], 'smell' => 'varnish']], FuelDecision::Discard, 'varnish'];
        yield 'rust' => [['look' => ['clarity' => 'clear', 'colour' => 'straw', 'specks' => ['rust'], 'smell' => 'fresh']], FuelDecision::Discard, 'rust'];
        yield 'hazy only' => [['look' => ['clarity' => 'hazy', 'colour' => 'straw', 'specks' => [], 'smell' => 'fresh']], FuelDecision::PartsWashingOnly, 'hazy'];
        yield 'stale only' => [['look' => ['clarity' => 'clear', 'colour' => 'amber', 'specks' => [], 'smell' => 'stale']], FuelDecision::PartsWashingOnly, 'stale'];
        yield 'past six months' => [['age' => ['months' => 7]], FuelDecision::PartsWashingOnly, 'old'];
        yield 'six months is not past six months' => [['age' => ['months' => 6]], FuelDecision::Use, null];
        yield 'nobody knows how old' => [['age' => []], FuelDecision::PartsWashingOnly, 'age_unknown'];
        yield 'too much ethanol' => [['shift' => ['fuel_ml' => 90, 'water_ml' => 10, 'aqueous_ml' => 24, 'celsius' => 20]], FuelDecision::PartsWashingOnly, 'ethanol_over'];
        yield 'ethanol at the limit is no verdict' => [['shift' => ['fuel_ml' => 90, 'water_ml' => 10, 'aqueous_ml' => 18.3, 'celsius' => 20]], FuelDecision::Use, 'ethanol_near'];
        yield 'nothing came' => [['layers' => ['height_mm' => 100, 'total_ml' => 0, 'lower_ml' => 0]], FuelDecision::Empty, null];
    }

    /** @param array<string, mixed> $changes */
    #[DataProvider('jars')]
    public function testDecides(array $changes, FuelDecision $decision, ?string $because): void
    {
        $verdict = FuelVerdict::onJar(self::jar($changes), OldFuelSchool::DiscardPastSixMonths);
        self::assertSame($decision, $verdict->decision);
        self::assertSame($because, $verdict->reasons[0]->code ?? null);
        self::assertSame([], $verdict->missing);
    }

    public function testTheOtherSchoolKeepsOldFuelOnlyWhenAllElseIsWell(): void
    {
        $keep = OldFuelSchool::KeepIfClearAndFresh;
        self::assertSame(FuelDecision::Use, FuelVerdict::onJar(self::jar(['age' => ['months' => 14]]), $keep)->decision);
        self::assertSame(FuelDecision::PartsWashingOnly, FuelVerdict::onJar(self::jar(['age' => []]), $keep)->decision);
        $stale = ['age' => ['months' => 14], 'look' => ['clarity' => 'clear', 'colour' => 'straw', 'specks' => [], 'smell' => 'stale']];
        self::assertSame(FuelDecision::PartsWashingOnly, FuelVerdict::onJar(self::jar($stale), $keep)->decision);
    }

    public function testNeverSaysUseWhileSomethingThatDecidesIsUnseen(): void
    {
        foreach (['layers', 'look', 'age'] as $part) {
            $jar = self::SOUND;
            unset($jar[$part]);
            $verdict = FuelVerdict::onJar(JarReading::fromArray($jar), OldFuelSchool::DiscardPastSixMonths);
            self::assertSame(FuelDecision::Undecided, $verdict->decision);
            self::assertNotSame([], $verdict->missing);
        }
    }

    public function testWasteAndTankFollowWhatWasSeen(): void
    {
        $water = self::jar(['layers' => ['height_mm' => 100, 'total_ml' => 90, 'lower_ml' => 12]]);
        self::assertSame(WasteStream::GasolineWater, FuelVerdict::streamOf($water));
        self::assertSame(TankAction::RemoveAndDry, FuelVerdict::onJar($water, OldFuelSchool::DiscardPastSixMonths)->tankAction);
        $rust = self::jar(['look' => ['specks' => ['rust']]]);
        self::assertSame(WasteStream::StaleGasoline, FuelVerdict::streamOf($rust));
        self::assertSame(TankAction::CleanOrReplace, FuelVerdict::onJar($rust, OldFuelSchool::DiscardPastSixMonths)->tankAction);
        self::assertSame(TankAction::Nothing, FuelVerdict::onJar(self::jar([]), OldFuelSchool::DiscardPastSixMonths)->tankAction);
    }

    public function testReasonsStandStrongestFirst(): void
    {
        $verdict = FuelVerdict::onJar(self::jar(['age' => ['months' => 30], 'look' => ['clarity' => 'hazy', 'colour' => 'brown', 'specks' => ['dirt'], 'smell' => 'stale']]), OldFuelSchool::DiscardPastSixMonths);
        $speaksFor = array_map(static fn (FuelReason $reason): FuelDecision => $reason->speaksFor, $verdict->reasons);
        self::assertSame(FuelDecision::Discard, $speaksFor[0]);
        self::assertSame([FuelDecision::PartsWashingOnly], array_values(array_unique(\array_slice($speaksFor, 1), \SORT_REGULAR)));
    }

    /** @param array<string, mixed> $changes */
    private static function jar(array $changes): JarReading
    {
        /** @var JarArray $jar */
        $jar = array_replace(self::SOUND, $changes);

        return JarReading::fromArray($jar);
    }
}
