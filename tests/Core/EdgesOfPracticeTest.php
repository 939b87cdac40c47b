<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core;

use AwakeShed\Core\Cylinder\Compression;
use AwakeShed\Core\Cylinder\CompressionVerdict;
use AwakeShed\Core\Cylinder\CrankcaseTest;
use AwakeShed\Core\Cylinder\Hydrolock;
use AwakeShed\Core\Cylinder\LeakDown;
use AwakeShed\Core\Cylinder\LeakDownBand;
use AwakeShed\Core\Cylinder\PullLog;
use AwakeShed\Core\Cylinder\Release;
use AwakeShed\Core\Cylinder\WetTest;
use AwakeShed\Core\Fuel\EngineLimit;
use AwakeShed\Core\Fuel\EthanolContent;
use AwakeShed\Core\Fuel\FuelAge;
use AwakeShed\Core\Fuel\Settling;
use AwakeShed\Core\Fuel\WaterShift;
use AwakeShed\Core\Jet\JetBore;
use AwakeShed\Core\Oil\DilutionBand;
use AwakeShed\Core\Oil\ViscosityGrade;
use AwakeShed\Core\Oil\ViscosityLine;
use AwakeShed\Core\Oil\WinterGrade;
use AwakeShed\Core\Running\Alternator;
use AwakeShed\Core\Running\BladeTrack;
use AwakeShed\Core\Running\FlowTest;
use AwakeShed\Core\Running\WasherCheck;
use AwakeShed\Core\Running\WasherVerdict;
use AwakeShed\Core\Trace\NeedleReading;
use AwakeShed\Core\Trace\NeedleVerdict;
use AwakeShed\Core\Units\Count;
use AwakeShed\Core\Units\Duration;
use AwakeShed\Core\Units\FlowUnit;
use AwakeShed\Core\Units\Frequency;
use AwakeShed\Core\Units\FrequencyUnit;
use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\KinematicViscosity;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\Pressure;
use AwakeShed\Core\Units\ShaftSpeed;
use AwakeShed\Core\Units\SpeedUnit;
use AwakeShed\Core\Units\Temperature;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeFlow;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * The figures at which one verdict of the trade becomes another, each from just below, at and just above: docs/numbers.md
 * says where they come from. A figure moved by a hundredth fails here.
 */
final class EdgesOfPracticeTest extends TestCase
{
    /** @return iterable<string, array{mixed, mixed}> said, is */
    public static function edges(): iterable
    {
        yield 'gasoline in the oil, 1.99 %: watch' => [DilutionBand::Watch, DilutionBand::forFraction(0.0199)];
        yield 'gasoline in the oil, 2 %: change' => [DilutionBand::Change, DilutionBand::forFraction(0.02)];
        yield 'gasoline in the oil, 5 %: change' => [DilutionBand::Change, DilutionBand::forFraction(0.05)];
        yield 'gasoline in the oil, 5.01 %: flush' => [DilutionBand::ChangeFlushAndCure, DilutionBand::forFraction(0.0501)];

        foreach ([[9.9, LeakDownBand::Good], [10.0, LeakDownBand::Usable], [19.9, LeakDownBand::Usable], [20.0, LeakDownBand::Worn], [25.0, LeakDownBand::Worn], [25.1, LeakDownBand::FindIt]] as [$lost, $band]) {
            yield "leak-down, $lost % lost" => [$band, LeakDown::read(Pressure::psi(100), Pressure::psi(100 - $lost), Pressure::psi(0))->band()];
        }

        $atSea = static fn (float $psi, Release $release): Compression => Compression::read(Pressure::psi($psi), Length::millimetres(0), $release, Pressure::psi(0));
        foreach ([
            [14.9, Release::Fitted, CompressionVerdict::None], [15.0, Release::Fitted, CompressionVerdict::Low], [39.9, Release::Fitted, CompressionVerdict::Low], [40.0, Release::Fitted, CompressionVerdict::Good],
            [40.0, Release::Unknown, CompressionVerdict::DependsOnRelease], [89.9, Release::Unknown, CompressionVerdict::DependsOnRelease], [90.0, Release::Unknown, CompressionVerdict::Good],
            [89.9, Release::NotFitted, CompressionVerdict::Low], [90.0, Release::NotFitted, CompressionVerdict::Good],
            [89.9, Release::TwoStroke, CompressionVerdict::Low], [90.0, Release::TwoStroke, CompressionVerdict::Marginal], [109.9, Release::TwoStroke, CompressionVerdict::Marginal], [110.0, Release::TwoStroke, CompressionVerdict::Good],
        ] as [$psi, $release, $verdict]) {
            yield "compression, $psi psi, {$release->value}" => [$verdict, $atSea($psi, $release)->verdict()];
        }
        yield 'wet, a tenth up: rings' => [WetTest::Rings, $atSea(60, Release::NotFitted)->wet(Pressure::psi(66.01))];
        yield 'wet, hardly up: valves' => [WetTest::ValvesOrGasket, $atSea(60, Release::NotFitted)->wet(Pressure::psi(65.9))];

        $flow = static fn (float $last, ?float $open): FlowTest => FlowTest::fromCups([Volume::millilitres(100), Volume::millilitres($last)], Duration::seconds(30), null === $open ? null : Volume::millilitres($open));
        yield 'flow, back at 80 %' => [true, $flow(50, 80.0)->recovers()];
        yield 'flow, 79.9 % is not back' => [false, $flow(50, 79.9)->recovers()];

        yield 'fuel of six months' => [false, FuelAge::months(6)->isPastLimit()];
        yield 'fuel past six months' => [true, FuelAge::months(6.01)->isPastLimit()];

        // Corrected, what may be off, and the 1 % that may stay behind in the gasoline: 8.99 and 0 make 9.99 %.
        yield 'ethanol, within' => [EngineLimit::Within, (new EthanolContent(0.09, 0.0899, 0.0))->againstSmallEngineLimit()];
        yield 'ethanol, one per cent may be left' => [EngineLimit::CannotTell, (new EthanolContent(0.09, 0.0901, 0.0))->againstSmallEngineLimit()];
        yield 'ethanol, ten per cent' => [EngineLimit::CannotTell, (new EthanolContent(0.1, 0.10, 0.0))->againstSmallEngineLimit()];
        yield 'ethanol, over' => [EngineLimit::Over, (new EthanolContent(0.1, 0.1001, 0.0))->againstSmallEngineLimit()];
        yield 'a cylinder of 100 mL is read to half a millilitre' => [0.5, WaterShift::READING_ERROR_ML];

        $needle = static fn (?float $popOff, float $seats, float $later): NeedleVerdict => NeedleReading::onTrace(null === $popOff ? null : Pressure::psi($popOff), Pressure::psi($seats), Pressure::psi($seats - $later), Pressure::psi(0.1))->verdict(Pressure::psi(NeedleReading::STRICT_LOSS_PSI));
        yield 'needle, 0.29 psi in a minute holds' => [NeedleVerdict::Seals, $needle(8, 6, 5.71)];
        yield 'needle, 0.31 psi is slow' => [NeedleVerdict::Marginal, $needle(8, 6, 5.69)];
        yield 'needle, 0.99 psi is slow' => [NeedleVerdict::Marginal, $needle(8, 7, 6.01)];
        yield 'needle, 1.01 psi leaks' => [NeedleVerdict::Leaks, $needle(8, 7, 5.99)];
        yield 'needle, 4.71 psi after a minute holds' => [NeedleVerdict::Seals, $needle(8, 4.71, 4.71)];
        yield 'needle, 4.69 psi is too low' => [NeedleVerdict::HoldsTooLow, $needle(8, 4.69, 4.69)];
        yield 'needle, lifts at 10 psi' => [NeedleVerdict::Seals, $needle(10, 6, 6)];
        yield 'needle, past 10 psi is stiff' => [NeedleVerdict::LiftsHigh, $needle(10.1, 6, 6)];

        $poles = Alternator::withPoles(Count::each(2));
        foreach ([[3000 * 1.0249, true], [3000 * 1.0251, false], [3000 * 0.9751, true], [3000 * 0.9749, false]] as [$rpm, $isRated]) {
            yield "generator of 50 Hz under load, $rpm rpm" => [$isRated, $poles->isAtRated(ShaftSpeed::of($rpm, SpeedUnit::Rpm), Frequency::of(50, FrequencyUnit::Hertz))];
        }

        $washer = static fn (float $flow, float $pressure, ?float $released): WasherVerdict => WasherCheck::measured(VolumeFlow::of(8, FlowUnit::LitrePerMinute), Pressure::psi(2000), VolumeFlow::of(8 * $flow, FlowUnit::LitrePerMinute), Pressure::psi(2000 * $pressure), null === $released ? null : Pressure::psi(2000 * $released))->verdict();
        yield 'washer, a tenth over' => [false, WasherVerdict::NozzleBlocked === $washer(1, 1.09, null)];
        yield 'washer, more than a tenth over' => [WasherVerdict::NozzleBlocked, $washer(1, 1.11, null)];
        yield 'washer, less than nine tenths of its water' => [WasherVerdict::FlowLow, $washer(0.89, 1, null)];
        yield 'washer, nine tenths of it' => [false, WasherVerdict::FlowLow === $washer(0.91, 1, null)];
        yield 'washer, less than nine tenths of its pressure' => [WasherVerdict::NozzleWorn, $washer(1, 0.89, null)];

        // An eighth of an inch.
        yield 'blade, 3.1 mm off' => [true, BladeTrack::measure(Length::millimetres(50), Length::millimetres(53.1), Length::millimetres(0))->isTrue()];
        yield 'blade, 3.25 mm off' => [false, BladeTrack::measure(Length::millimetres(50), Length::millimetres(53.25), Length::millimetres(0))->isTrue()];

        yield 'one cylinder up to 550 cm³' => [1, Hydrolock::usualCylinders(Volume::millilitres(550))];
        yield 'two above' => [2, Hydrolock::usualCylinders(Volume::millilitres(551))];
        yield 'three pulls, half a millilitre: dry' => [true, PullLog::fromPulls([Volume::millilitres(5), Volume::millilitres(2), Volume::millilitres(0.5)])->isDry()];
        yield 'three pulls, more: not dry' => [false, PullLog::fromPulls([Volume::millilitres(5), Volume::millilitres(2), Volume::millilitres(0.6)])->isDry()];
        yield 'two pulls are not enough' => [false, PullLog::fromPulls([Volume::millilitres(0), Volume::millilitres(0)])->isDry()];

        $crankcase = static fn (float $loss): ?bool => CrankcaseTest::pumped(Pressure::psi(6), Pressure::psi(6 - $loss), Duration::seconds(60), Pressure::psi(0))->isTight();
        yield 'crankcase, half a psi in a minute' => [true, $crankcase(0.5)];
        yield 'crankcase, more' => [false, $crankcase(0.51)];

        yield 'widest wire of a jet of 0.70' => [0.63, round(JetBore::ofDiameter(Length::millimetres(0.70))->widestWire()->inMillimetres(), 6)];
        yield 'nearest drill to 0.73' => [0.75, round(JetBore::ofDiameter(Length::millimetres(0.73))->nearestMetricDrill()->inMillimetres(), 6)];
        yield 'nearest drill to 0.72' => [0.70, round(JetBore::ofDiameter(Length::millimetres(0.72))->nearestMetricDrill()->inMillimetres(), 6)];
    }

    #[DataProvider('edges')]
    public function testAVerdictTurnsWhereThePracticeSays(mixed $said, mixed $is): void
    {
        self::assertSame($said, $is);
    }

    /** SAE J300 (2015), kinematic viscosity at 100 °C, mm²/s: least, and below. Published. */
    public function testGradesAreThoseOfTheStandard(): void
    {
        $rows = ['8' => [4.0, 6.1], '12' => [5.0, 7.1], '16' => [6.1, 8.2], '20' => [6.9, 9.3], '30' => [9.3, 12.5], '40' => [12.5, 16.3], '50' => [16.3, 21.9], '60' => [21.9, 26.1]];
        $passes = static fn (ViscosityGrade $grade, float $hot): bool => \in_array($grade, ViscosityGrade::passedBy(KinematicViscosity::centistokes($hot)), true);
        self::assertCount(\count($rows), ViscosityGrade::cases());
        foreach ($rows as $name => [$least, $below]) {
            $grade = ViscosityGrade::from((string) $name);
            self::assertFalse($passes($grade, $least - 0.01), "$name below");
            self::assertTrue($passes($grade, $least), "$name at its least");
            self::assertTrue($passes($grade, $below - 0.01), "$name at its most");
            self::assertFalse($passes($grade, $below), "$name above");
        }
        self::assertFalse(ViscosityGrade::isThickerThanAny(KinematicViscosity::centistokes(26.09)));
        self::assertTrue(ViscosityGrade::isThickerThanAny(KinematicViscosity::centistokes(26.1)));
    }

    /** SAE J300 (2015), its low-temperature columns, °C: cranking, pumping. Published. */
    public function testWinterGradesAreThoseOfTheStandard(): void
    {
        $rows = ['0W' => [-35, -40], '5W' => [-30, -35], '10W' => [-25, -30], '15W' => [-20, -25], '20W' => [-15, -20], '25W' => [-10, -15]];
        $is = [];
        foreach (WinterGrade::cases() as $grade) {
            $is[$grade->value] = [(int) $grade->cranksTo()->inCelsius(), (int) $grade->pumpsTo()->inCelsius()];
        }
        self::assertSame($rows, $is);
    }

    /** ASTM D341 is drawn for no less than 2.0 mm²/s. */
    public function testAThinOilHasNoLine(): void
    {
        $line = static fn (float $hot): ViscosityLine => ViscosityLine::through(Temperature::celsius(40), KinematicViscosity::centistokes(9), Temperature::celsius(100), KinematicViscosity::centistokes($hot));
        self::assertEqualsWithDelta(2.0, $line(2.0)->at(Temperature::celsius(100))->inCentistokes(), 1e-6);
        $this->expectException(ImpossibleAmount::class);
        $line(1.99);
    }

    /**
     * By hand, from Stokes' law with 250 kg/m³, 5·10⁻⁴ Pa·s and standard gravity: a drop of 50 µm falls 0.681 mm in a
     * second, one of 20 µm 0.109 mm.
     */
    public function testAJarIsLookedAtWhenDropsOfFiftyAndTwentyMicrometresHaveFallen(): void
    {
        $jar = Length::millimetres(100);
        self::assertEqualsWithDelta(146.8, Settling::firstLook($jar)->inSeconds(), 0.1);
        self::assertEqualsWithDelta(917.8, Settling::fullWait($jar)->inSeconds(), 0.2);
    }
}
