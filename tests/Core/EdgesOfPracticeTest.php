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
use AwakeShed\Core\Running\LoadStep;
use AwakeShed\Core\Running\LoadTest;
use AwakeShed\Core\Running\PerformanceClass;
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
use AwakeShed\Core\Units\Power;
use AwakeShed\Core\Units\PowerUnit;
use AwakeShed\Core\Units\Pressure;
use AwakeShed\Core\Units\ShaftSpeed;
use AwakeShed\Core\Units\SpeedUnit;
use AwakeShed\Core\Units\Temperature;
use AwakeShed\Core\Units\Voltage;
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
    /** @return iterable<string, array{mixed, \Closure(): mixed}> said, is */
    public static function edges(): iterable
    {
        yield 'gasoline in the oil, 1.99 %: watch' => [DilutionBand::Watch, static fn (): mixed => DilutionBand::forFraction(0.0199)];
        yield 'gasoline in the oil, 2 %: change' => [DilutionBand::Change, static fn (): mixed => DilutionBand::forFraction(0.02)];
        yield 'gasoline in the oil, 5 %: change' => [DilutionBand::Change, static fn (): mixed => DilutionBand::forFraction(0.05)];
        yield 'gasoline in the oil, 5.01 %: flush' => [DilutionBand::ChangeFlushAndCure, static fn (): mixed => DilutionBand::forFraction(0.0501)];

        foreach ([[9.9, LeakDownBand::Good], [10.0, LeakDownBand::Usable], [19.9, LeakDownBand::Usable], [20.0, LeakDownBand::Worn], [25.0, LeakDownBand::Worn], [25.1, LeakDownBand::FindIt]] as [$lost, $band]) {
            yield "leak-down, $lost % lost" => [$band, static fn (): mixed => LeakDown::read(Pressure::psi(100), Pressure::psi(100 - $lost), Pressure::psi(0))->band()];
        }

        $atSea = static fn (float $psi, Release $release): Compression => Compression::read(Pressure::psi($psi), Length::millimetres(0), $release, Pressure::psi(0));
        foreach ([
            [14.9, Release::Fitted, CompressionVerdict::None], [15.0, Release::Fitted, CompressionVerdict::Low], [39.9, Release::Fitted, CompressionVerdict::Low], [40.0, Release::Fitted, CompressionVerdict::Good],
            [40.0, Release::Unknown, CompressionVerdict::DependsOnRelease], [89.9, Release::Unknown, CompressionVerdict::DependsOnRelease], [90.0, Release::Unknown, CompressionVerdict::Good],
            [89.9, Release::NotFitted, CompressionVerdict::Low], [90.0, Release::NotFitted, CompressionVerdict::Good],
            [89.9, Release::TwoStroke, CompressionVerdict::Low], [90.0, Release::TwoStroke, CompressionVerdict::Marginal], [109.9, Release::TwoStroke, CompressionVerdict::Marginal], [110.0, Release::TwoStroke, CompressionVerdict::Good],
        ] as [$psi, $release, $verdict]) {
            yield "compression, $psi psi, {$release->value}" => [$verdict, static fn (): mixed => $atSea($psi, $release)->verdict()];
        }
        yield 'wet, a tenth up: rings' => [WetTest::Rings, static fn (): mixed => $atSea(60, Release::NotFitted)->wet(Pressure::psi(66.01))];
        yield 'wet, hardly up: valves' => [WetTest::ValvesOrGasket, static fn (): mixed => $atSea(60, Release::NotFitted)->wet(Pressure::psi(65.9))];

        $flow = static fn (float $last, ?float $open): FlowTest => FlowTest::fromCups([Volume::millilitres(100), Volume::millilitres($last)], Duration::seconds(30), null === $open ? null : Volume::millilitres($open));
        yield 'flow, back at 80 %' => [true, static fn (): mixed => $flow(50, 80.0)->recovers()];
        yield 'flow, 79.9 % is not back' => [false, static fn (): mixed => $flow(50, 79.9)->recovers()];

        yield 'fuel of six months' => [false, static fn (): mixed => FuelAge::months(6)->isPastLimit()];
        yield 'fuel past six months' => [true, static fn (): mixed => FuelAge::months(6.01)->isPastLimit()];

        // Corrected, what may be off, and the 1 % that may stay behind in the gasoline: 8.99 and 0 make 9.99 %.
        yield 'ethanol, within' => [EngineLimit::Within, static fn (): mixed => (new EthanolContent(0.09, 0.0899, 0.0))->againstSmallEngineLimit()];
        yield 'ethanol, one per cent may be left' => [EngineLimit::CannotTell, static fn (): mixed => (new EthanolContent(0.09, 0.0901, 0.0))->againstSmallEngineLimit()];
        yield 'ethanol, ten per cent' => [EngineLimit::CannotTell, static fn (): mixed => (new EthanolContent(0.1, 0.10, 0.0))->againstSmallEngineLimit()];
        yield 'ethanol, over' => [EngineLimit::Over, static fn (): mixed => (new EthanolContent(0.1, 0.1001, 0.0))->againstSmallEngineLimit()];
        yield 'a cylinder of 100 mL is read to half a millilitre' => [0.5, static fn (): mixed => WaterShift::READING_ERROR_ML];

        $needle = static fn (?float $popOff, float $seats, float $later): NeedleVerdict => NeedleReading::onTrace(null === $popOff ? null : Pressure::psi($popOff), Pressure::psi($seats), Pressure::psi($seats - $later), Pressure::psi(0.1))->verdict(Pressure::psi(NeedleReading::STRICT_LOSS_PSI));
        yield 'needle, 0.29 psi in a minute holds' => [NeedleVerdict::Seals, static fn (): mixed => $needle(8, 6, 5.71)];
        yield 'needle, 0.31 psi is slow' => [NeedleVerdict::Marginal, static fn (): mixed => $needle(8, 6, 5.69)];
        yield 'needle, 0.99 psi is slow' => [NeedleVerdict::Marginal, static fn (): mixed => $needle(8, 7, 6.01)];
        yield 'needle, 1.01 psi leaks' => [NeedleVerdict::Leaks, static fn (): mixed => $needle(8, 7, 5.99)];
        yield 'needle, just 0.3 psi holds' => [NeedleVerdict::Seals, static fn (): mixed => NeedleReading::onTrace(Pressure::psi(8), Pressure::psi(6), Pressure::psi(0.3), Pressure::psi(0.1))->verdict(Pressure::psi(0.3))];
        yield 'needle, just a psi is slow' => [NeedleVerdict::Marginal, static fn (): mixed => NeedleReading::onTrace(Pressure::psi(8), Pressure::psi(7), Pressure::psi(1), Pressure::psi(0.1))->verdict(Pressure::psi(0.3))];
        yield 'needle, up by just 0.3 psi' => [NeedleVerdict::Seals, static fn (): mixed => NeedleReading::onTrace(Pressure::psi(8), Pressure::psi(6), Pressure::psi(-0.3), Pressure::psi(0.1))->verdict(Pressure::psi(0.3))];
        yield 'needle, just 4.5 psi is half a psi short' => [NeedleVerdict::Seals, static fn (): mixed => NeedleReading::onTrace(Pressure::psi(8), Pressure::psi(4.5), Pressure::psi(0), Pressure::psi(0.1))->verdict(Pressure::psi(0.5))];
        yield 'needle, read to a tenth' => [0.1, static fn (): mixed => NeedleReading::GAUGE_ERROR_PSI];
        yield 'needle, 4.71 psi after a minute holds' => [NeedleVerdict::Seals, static fn (): mixed => $needle(8, 4.71, 4.71)];
        yield 'needle, 4.69 psi is too low' => [NeedleVerdict::HoldsTooLow, static fn (): mixed => $needle(8, 4.69, 4.69)];
        yield 'needle, what it lost comes off what it holds: 4.85 less 0.2' => [NeedleVerdict::HoldsTooLow, static fn (): mixed => $needle(8, 4.85, 4.65)];
        yield 'needle, 4.95 less 0.2' => [NeedleVerdict::Seals, static fn (): mixed => $needle(8, 4.95, 4.75)];
        yield 'needle, lifts at 10 psi' => [NeedleVerdict::Seals, static fn (): mixed => $needle(10, 6, 6)];
        yield 'needle, past 10 psi is stiff' => [NeedleVerdict::LiftsHigh, static fn (): mixed => $needle(10.1, 6, 6)];

        $poles = Alternator::withPoles(Count::each(2));
        foreach ([[3000 * 1.0249, true], [3000 * 1.0251, false], [3000 * 0.9751, true], [3000 * 0.9749, false]] as [$rpm, $isRated]) {
            yield "generator of 50 Hz under load, $rpm rpm" => [$isRated, static fn (): mixed => $poles->isAtRated(ShaftSpeed::of($rpm, SpeedUnit::Rpm), Frequency::of(50, FrequencyUnit::Hertz))];
        }

        // ISO 8528-5 from both sides: droop, voltage (%), recovery (s); what is best of each, and just not.
        $loaded = static fn (float $droop, float $volts, ?float $seconds): ?PerformanceClass => LoadTest::ofSteps([
            new LoadStep(Power::of(0, PowerUnit::Kilowatt), Voltage::volts(200), Frequency::of(50 + $droop / 2, FrequencyUnit::Hertz)),
            new LoadStep(Power::of(2, PowerUnit::Kilowatt), Voltage::volts(200 - 2 * $volts), Frequency::of(50, FrequencyUnit::Hertz)),
        ], Voltage::volts(200), Frequency::of(50, FrequencyUnit::Hertz))->performanceClass($seconds);
        foreach ([[3.0, 1.0, 3.0, PerformanceClass::G3], [5.0, 2.5, 5.0, PerformanceClass::G2], [8.0, 5.0, 10.0, PerformanceClass::G1]] as $n => [$droop, $volts, $seconds, $class]) {
            $next = [PerformanceClass::G2, PerformanceClass::G1, null][$n];
            yield "generator, $droop % of droop, $volts % of voltage, $seconds s" => [$class, static fn (): mixed => $loaded($droop, $volts, $seconds)];
            yield "generator, more droop than $droop %" => [$next, static fn (): mixed => $loaded($droop + 0.01, $volts, $seconds)];
            yield "generator, more voltage than $volts %" => [$next, static fn (): mixed => $loaded($droop, $volts + 0.01, $seconds)];
            yield "generator, longer than $seconds s" => [$next, static fn (): mixed => $loaded($droop, $volts, $seconds + 0.01)];
            yield "generator, nobody timed it, $n" => [$class, static fn (): mixed => $loaded($droop, $volts, null)];
        }
        yield 'generator, faster under load' => [null, static fn (): mixed => $loaded(-0.01, 0, 0)];

        $washer = static fn (float $flow, float $pressure, ?float $released): WasherVerdict => WasherCheck::measured(VolumeFlow::of(8, FlowUnit::LitrePerMinute), Pressure::psi(2000), VolumeFlow::of(8 * $flow, FlowUnit::LitrePerMinute), Pressure::psi(2000 * $pressure), null === $released ? null : Pressure::psi(2000 * $released))->verdict();
        yield 'washer, a tenth over' => [false, static fn (): mixed => WasherVerdict::NozzleBlocked === $washer(1, 1.09, null)];
        yield 'washer, more than a tenth over' => [WasherVerdict::NozzleBlocked, static fn (): mixed => $washer(1, 1.11, null)];
        // A ratio of one pressure to another of the same unit is exact.
        yield 'washer, a quarter over with the gun let go' => [WasherVerdict::Right, static fn (): mixed => $washer(1, 1, 1.25)];
        yield 'washer, more than a quarter over' => [WasherVerdict::UnloaderStuck, static fn (): mixed => $washer(1, 1, 1.2501)];
        yield 'washer, less than nine tenths of its water' => [WasherVerdict::FlowLow, static fn (): mixed => $washer(0.89, 1, null)];
        yield 'washer, nine tenths of it' => [false, static fn (): mixed => WasherVerdict::FlowLow === $washer(0.91, 1, null)];
        $read = static fn (float $litres, float $psi): WasherVerdict => WasherCheck::measured(VolumeFlow::of(8, FlowUnit::LitrePerMinute), Pressure::psi(2000), VolumeFlow::of($litres, FlowUnit::LitrePerMinute), Pressure::psi($psi), null)->verdict();
        yield 'washer, a tenth over to the pound' => [WasherVerdict::Right, static fn (): mixed => $read(8, 2200)];
        yield 'washer, a tenth under to the pound' => [WasherVerdict::Right, static fn (): mixed => $read(8, 1800)];
        yield 'washer, nine tenths of its water to the drop' => [WasherVerdict::Right, static fn (): mixed => $read(7.2, 2000)];
        yield 'washer, less than nine tenths of its pressure' => [WasherVerdict::NozzleWorn, static fn (): mixed => $washer(1, 0.89, null)];

        // An eighth of an inch.
        yield 'blade, 3.1 mm off' => [true, static fn (): mixed => BladeTrack::measure(Length::millimetres(50), Length::millimetres(53.1), Length::millimetres(0))->isTrue()];
        yield 'blade, 3.25 mm off' => [false, static fn (): mixed => BladeTrack::measure(Length::millimetres(50), Length::millimetres(53.25), Length::millimetres(0))->isTrue()];

        yield 'one cylinder up to 550 cm³' => [1, static fn (): mixed => Hydrolock::usualCylinders(Volume::millilitres(550))];
        yield 'two above' => [2, static fn (): mixed => Hydrolock::usualCylinders(Volume::millilitres(551))];
        yield 'three pulls, half a millilitre: dry' => [true, static fn (): mixed => PullLog::fromPulls([Volume::millilitres(5), Volume::millilitres(2), Volume::millilitres(0.5)])->isDry()];
        yield 'three pulls, more: not dry' => [false, static fn (): mixed => PullLog::fromPulls([Volume::millilitres(5), Volume::millilitres(2), Volume::millilitres(0.6)])->isDry()];
        yield 'two pulls are not enough' => [false, static fn (): mixed => PullLog::fromPulls([Volume::millilitres(0), Volume::millilitres(0)])->isDry()];

        $crankcase = static fn (float $loss): ?bool => CrankcaseTest::pumped(Pressure::psi(6), Pressure::psi(6 - $loss), Duration::seconds(60), Pressure::psi(0))->isTight();
        yield 'crankcase, half a psi in a minute' => [true, static fn (): mixed => $crankcase(0.5)];
        yield 'crankcase, more' => [false, static fn (): mixed => $crankcase(0.51)];
        $watched = CrankcaseTest::pumped(Pressure::psi(6), Pressure::psi(5.4), Duration::seconds(120), Pressure::psi(0.3));
        yield 'crankcase, six tenths in two minutes' => [0.3, static fn (): mixed => round($watched->lossPerMinute->inPsi(), 6)];
        yield 'crankcase, two readings of three tenths either way, over two minutes' => [0.212132, static fn (): mixed => round($watched->error->inPsi(), 6)];
        yield 'crankcase, which nobody can tell by that gauge' => [null, static fn (): mixed => $watched->isTight()];
        yield 'crankcase, which by a better one is tight' => [true, static fn (): mixed => CrankcaseTest::pumped(Pressure::psi(6), Pressure::psi(5.4), Duration::seconds(120), Pressure::psi(0.2))->isTight()];

        yield 'widest wire of a jet of 0.70' => [0.63, static fn (): mixed => round(JetBore::ofDiameter(Length::millimetres(0.70))->widestWire()->inMillimetres(), 6)];
        yield 'nearest drill to 0.73' => [0.75, static fn (): mixed => round(JetBore::ofDiameter(Length::millimetres(0.73))->nearestMetricDrill()->inMillimetres(), 6)];
        yield 'nearest drill to 0.72' => [0.70, static fn (): mixed => round(JetBore::ofDiameter(Length::millimetres(0.72))->nearestMetricDrill()->inMillimetres(), 6)];
    }

    /** @param \Closure(): mixed $is */
    #[DataProvider('edges')]
    public function testAVerdictTurnsWhereThePracticeSays(mixed $said, \Closure $is): void
    {
        self::assertSame($said, $is());
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
