<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core;

use AwakeShed\Core\Cylinder\Compression;
use AwakeShed\Core\Cylinder\CrankcaseTest;
use AwakeShed\Core\Cylinder\FeelerGap;
use AwakeShed\Core\Cylinder\Gap;
use AwakeShed\Core\Cylinder\Hydrolock;
use AwakeShed\Core\Cylinder\LeakDown;
use AwakeShed\Core\Cylinder\PullLog;
use AwakeShed\Core\Cylinder\Release;
use AwakeShed\Core\Diagnosis\Cures;
use AwakeShed\Core\Diagnosis\Quote;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Fuel\EthanolWater;
use AwakeShed\Core\Fuel\FuelAge;
use AwakeShed\Core\Fuel\JarLayers;
use AwakeShed\Core\Fuel\LayerGrowth;
use AwakeShed\Core\Fuel\Premix;
use AwakeShed\Core\Fuel\Settling;
use AwakeShed\Core\Fuel\Stabilizer;
use AwakeShed\Core\Fuel\TankFuel;
use AwakeShed\Core\Fuel\VaporLoss;
use AwakeShed\Core\Fuel\WaterShift;
use AwakeShed\Core\Fuel\WaterTolerance;
use AwakeShed\Core\Jet\DrillingSchool;
use AwakeShed\Core\Jet\JetBore;
use AwakeShed\Core\Jet\JetEnlargement;
use AwakeShed\Core\Jet\WireSet;
use AwakeShed\Core\Money\Bill;
use AwakeShed\Core\Money\BillLine;
use AwakeShed\Core\Money\LineKind;
use AwakeShed\Core\Money\Pace;
use AwakeShed\Core\Oil\Dilution;
use AwakeShed\Core\Oil\FlushPlan;
use AwakeShed\Core\Oil\GasolineBlend;
use AwakeShed\Core\Oil\SeasonOil;
use AwakeShed\Core\Oil\ThinnedOil;
use AwakeShed\Core\Oil\ViscosityLine;
use AwakeShed\Core\Proving\Attempt;
use AwakeShed\Core\Refusal;
use AwakeShed\Core\Repair\Beta;
use AwakeShed\Core\Repair\Choice;
use AwakeShed\Core\Repair\Way;
use AwakeShed\Core\Repair\WayOdds;
use AwakeShed\Core\Running\AirDensity;
use AwakeShed\Core\Running\Alternator;
use AwakeShed\Core\Running\BladeTip;
use AwakeShed\Core\Running\BladeTrack;
use AwakeShed\Core\Running\FlowTest;
use AwakeShed\Core\Running\FuelNeed;
use AwakeShed\Core\Running\InletFlow;
use AwakeShed\Core\Running\LoadStep;
use AwakeShed\Core\Running\LoadTest;
use AwakeShed\Core\Running\SprayNozzle;
use AwakeShed\Core\Running\StandardAtmosphere;
use AwakeShed\Core\Running\WasherCheck;
use AwakeShed\Core\Sight\PhotoJar;
use AwakeShed\Core\Sight\PhotoRule;
use AwakeShed\Core\Sight\PhotoStick;
use AwakeShed\Core\Sight\Point;
use AwakeShed\Core\Spark\Battery;
use AwakeShed\Core\Spark\CoilComparison;
use AwakeShed\Core\Spec\SpecFigure;
use AwakeShed\Core\Trace\NeedleReading;
use AwakeShed\Core\Units\CalendarSpan;
use AwakeShed\Core\Units\Count;
use AwakeShed\Core\Units\Duration;
use AwakeShed\Core\Units\DurationUnit;
use AwakeShed\Core\Units\FlowUnit;
use AwakeShed\Core\Units\Frequency;
use AwakeShed\Core\Units\FrequencyUnit;
use AwakeShed\Core\Units\KinematicViscosity;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\Money;
use AwakeShed\Core\Units\Power;
use AwakeShed\Core\Units\PowerUnit;
use AwakeShed\Core\Units\Pressure;
use AwakeShed\Core\Units\Ratio;
use AwakeShed\Core\Units\RatioUnit;
use AwakeShed\Core\Units\Resistance;
use AwakeShed\Core\Units\ResistanceUnit;
use AwakeShed\Core\Units\ShaftSpeed;
use AwakeShed\Core\Units\SpeedUnit;
use AwakeShed\Core\Units\Temperature;
use AwakeShed\Core\Units\Voltage;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeFlow;
use AwakeShed\Core\Units\VolumeUnit;
use AwakeShed\Tests\Kept;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What each piece of the core computes with: to the ends of its interval, and not past them. */
final class BoundsOfReadingsTest extends TestCase
{
    use Refuses;

    /** @return iterable<string, array{\Closure(float): mixed, float|null, float|null}> computes with, from, to; null where an end lies elsewhere */
    public static function bounds(): iterable
    {
        [$ml, $psi, $mm, $s, $c, $cst, $volt, $usd] = [Volume::millilitres(...), Pressure::psi(...), Length::millimetres(...), Duration::seconds(...), Temperature::celsius(...), KinematicViscosity::centistokes(...), Voltage::volts(...), Money::dollars(...)];
        $toOne = static fn (float $x): Ratio => Ratio::of($x, RatioUnit::ToOne);
        $gpm = static fn (float $x): VolumeFlow => VolumeFlow::of($x, FlowUnit::GallonPerMinute);
        $rpm = static fn (float $x): ShaftSpeed => ShaftSpeed::of($x, SpeedUnit::Rpm);
        $hz = static fn (float $x): Frequency => Frequency::of($x, FrequencyUnit::Hertz);
        $ohm = static fn (float $x): Resistance => Resistance::of($x, ResistanceUnit::Ohm);

        yield 'crankcase pumped to, psi' => [static fn (float $x): mixed => CrankcaseTest::pumped($psi($x), $psi(1), $s(60), $psi(0)), 2, 9];
        yield 'crankcase, its gauge, psi' => [static fn (float $x): mixed => CrankcaseTest::pumped($psi(6), $psi(6), $s(60), $psi($x)), 0, 1];
        yield 'crankcase at the end, psi' => [static fn (float $x): mixed => CrankcaseTest::pumped($psi(6), $psi($x), $s(60), $psi(0.5)), 0, 6.5];
        yield 'crankcase, s' => [static fn (float $x): mixed => CrankcaseTest::pumped($psi(6), $psi(6), $s($x), $psi(0)), 10, 1800];

        yield 'displacement of a locked engine, cm³' => [static fn (float $x): mixed => Hydrolock::in($ml($x), $toOne(8), $ml(0)), 10, 2000];
        yield 'its compression ratio' => [static fn (float $x): mixed => Hydrolock::in($ml(160), $toOne($x), $ml(0)), 3, 20];
        yield 'liquid in it, mL: the swept volume and the clearance' => [static fn (float $x): mixed => Hydrolock::in($ml(160), $toOne(9), $ml($x)), 0, 180];
        yield 'what is not known of the liquid, mL' => [static fn (float $x): mixed => Hydrolock::in($ml(160), $toOne(9), $ml(1), $ml($x)), 0, 1000];
        yield 'what is not known of the ratio' => [static fn (float $x): mixed => Hydrolock::in($ml(160), $toOne(9), $ml(1), null, $x), 0, 3];
        yield 'drops a minute' => [static fn (float $x): mixed => Hydrolock::in($ml(160), $toOne(9), $ml(1))->timeToFill(Frequency::of($x, FrequencyUnit::PerMinute), $ml(0.05)), 0.01, 600];
        yield 'a drop, mL' => [static fn (float $x): mixed => Hydrolock::in($ml(160), $toOne(9), $ml(1))->timeToFill(Frequency::of(6, FrequencyUnit::PerMinute), $ml($x)), 0.01, 0.1];
        yield 'thrown by a pull, mL' => [static fn (float $x): mixed => PullLog::fromPulls([$ml($x)]), 0, 500];
        yield 'compression, psi' => [static fn (float $x): mixed => Compression::read($psi($x), $mm(0), Release::Fitted, $psi(0)), 0, 400];
        yield 'compression wet, psi' => [static fn (float $x): mixed => Compression::read($psi(60), $mm(0), Release::Fitted, $psi(0))->wet($psi($x)), null, 400];
        yield 'compression, its gauge, psi' => [static fn (float $x): mixed => Compression::read($psi(60), $mm(0), Release::Fitted, $psi($x)), 0, 20];
        yield 'leak-down regulated to, psi' => [static fn (float $x): mixed => LeakDown::read($psi($x), $psi(0), $psi(0)), 5, 150];
        yield 'leak-down, its gauges, psi' => [static fn (float $x): mixed => LeakDown::read($psi(100), $psi(50), $psi($x)), 0, 20];
        yield 'leak-down in the cylinder, psi' => [static fn (float $x): mixed => LeakDown::read($psi(100), $psi($x), $psi(2)), 0, 102];
        yield 'a gap, mm' => [static fn (float $x): mixed => FeelerGap::read(Gap::Plug, $mm($x)), 0, 5];
        yield 'least of a gap, mm' => [static fn (float $x): mixed => FeelerGap::read(Gap::Plug, $mm(0.7), $mm($x), $mm(5)), 0, 5];
        yield 'most of a gap, mm: from its least' => [static fn (float $x): mixed => FeelerGap::read(Gap::Plug, $mm(0.7), $mm(0.6), $mm($x)), 0.6, 5];

        yield 'a in Beta(a, b)' => [static fn (float $x): mixed => Beta::shaped($x, 1), 0.01, 1e5];
        yield 'b in Beta(a, b)' => [static fn (float $x): mixed => Beta::shaped(1, $x), 0.01, 1e5];
        yield 'mean of a Beta' => [static fn (float $x): mixed => Beta::worth($x, 8), 0.01, 0.99];
        yield 'weight of a Beta' => [static fn (float $x): mixed => Beta::worth(0.5, $x), 1, 1000];
        yield 'successes' => [static fn (float $x): mixed => Beta::shaped(1, 1)->seen((int) round($x < 0 ? -1 : ($x > 10_000 ? 10_001 : $x)), 0), 0, 10_000];
        yield 'failures' => [static fn (float $x): mixed => Beta::shaped(1, 1)->seen(0, (int) round($x < 0 ? -1 : ($x > 10_000 ? 10_001 : $x))), 0, 10_000];
        yield 'probability' => [static fn (float $x): mixed => Beta::shaped(2, 2)->quantile($x), 0, 1];
        $choice = static fn (float $wage, float $comeback, float $parts, float $labor): Choice => Choice::between([new WayOdds(Way::Replace, $usd($parts), Duration::of($labor, DurationUnit::Hour), Beta::worth(0.9, 8))], $usd($wage), $usd($comeback));
        yield 'wage of a choice, $' => [static fn (float $x): mixed => $choice($x, 40, 30, 1), 0, 1000];
        yield 'a comeback, $' => [static fn (float $x): mixed => $choice(60, $x, 30, 1), 0, 10_000];
        yield 'parts of a way, $' => [static fn (float $x): mixed => $choice(60, 40, $x, 1), 0, 10_000];
        yield 'labor of a way, h' => [static fn (float $x): mixed => $choice(60, 40, 30, $x), 0, 100];

        yield 'tax, %' => [static fn (float $x): mixed => Bill::of([], $x, false), 0, 50];
        yield 'quantity on a bill' => [static fn (float $x): mixed => new BillLine(LineKind::Labor, 'x', $x, $usd(1)), 0, 1000];
        yield 'price on a bill, $' => [static fn (float $x): mixed => new BillLine(LineKind::Labor, 'x', 1, $usd($x)), 0, 100_000];
        yield 'hours clocked' => [static fn (float $x): mixed => Pace::learned($x, 1, 1), 0, 1e7];
        yield 'hours reckoned' => [static fn (float $x): mixed => Pace::learned(1, $x, 1), 0, 1e7];
        foreach (['pulls' => [1, 60], 'primes' => [0, 20], 'caught_s' => [0, 120], 'choke_off_s' => [0, 900], 'air_c' => [-40, 55], 'stood_h' => [0, 200_000]] as $figure => [$least, $most]) {
            yield "a start, $figure" => [static fn (float $x): mixed => new Attempt([$figure => $x]), $least, $most];
        }

        yield 'a wire, mm' => [static fn (float $x): mixed => WireSet::fromWires([$mm($x)]), 0.02, 5];
        yield 'a jet, mm' => [static fn (float $x): mixed => JetBore::ofDiameter($mm($x)), 0.1, 5];
        yield 'air against that of the jet' => [static fn (float $x): mixed => JetBore::ofDiameter($mm(0.7))->forAir($x), 0.5, 1.5];
        $drilled = static fn (float $to): JetEnlargement => JetEnlargement::weigh(JetBore::ofDiameter($mm(1)), JetBore::ofDiameter($mm($to)), DrillingSchool::NextSizeUp, [], null);
        yield 'drilled to, mm: up to twice the flow' => [static fn (float $x): mixed => $drilled($x), 1.0001, 1.4142];
        yield 'air to fuel, by mass' => [static fn (float $x): mixed => $drilled(1.05)->mixtureFrom($x), 8, 25];

        yield 'wage of a quote, $' => [static fn (float $x): mixed => Quote::reckoned([], Cures::shipped(), $x, 1), 0, 1000];
        yield 'hours before a quote' => [static fn (float $x): mixed => Quote::reckoned([], Cures::shipped(), 60, $x), 0, 20];
        yield 'chance in a quote' => [static fn (float $x): mixed => Quote::reckoned(['fuel.stale' => $x], Cures::shipped(), 60, 1), 0, 1];

        yield 'a needle lifts, psi' => [static fn (float $x): mixed => NeedleReading::byGauge($psi($x), $psi(0), $psi(0), $psi(0)), 0, 60];
        yield 'a needle seats, psi' => [static fn (float $x): mixed => NeedleReading::byGauge(null, $psi($x), $psi(0), $psi(0)), 0, 60];
        yield 'a needle after a minute, psi' => [static fn (float $x): mixed => NeedleReading::byGauge(null, $psi(6), $psi($x), $psi(0)), 0, 60];
        yield 'a needle, the gauge, psi' => [static fn (float $x): mixed => NeedleReading::byGauge(null, $psi(6), $psi(6), $psi($x)), 0, 2];
        yield 'a needle seats below where it lifted, psi' => [static fn (float $x): mixed => NeedleReading::byGauge($psi(7), $psi($x), $psi(0), $psi(0.5)), 0, 7.5];
        yield 'a needle, what the school lets it lose, psi' => [static fn (float $x): mixed => NeedleReading::byGauge(null, $psi(6), $psi(6), $psi(0))->verdict($psi($x)), 0.05, 1];

        yield 'a jar, mm' => [static fn (float $x): mixed => JarLayers::read($mm($x), $ml(100), $ml(0)), 5, 500];
        yield 'in a jar, mL' => [static fn (float $x): mixed => JarLayers::read($mm(100), $ml($x), $ml(0)), 0, 5000];
        yield 'lower layer of a jar, mL' => [static fn (float $x): mixed => JarLayers::read($mm(100), $ml(80), $ml($x)), 0, 80];
        yield 'stored, months' => [static fn (float $x): mixed => VaporLoss::after(CalendarSpan::months($x), true), 0, 120];
        yield 'fuel for a premix, mL' => [static fn (float $x): mixed => Premix::oil($ml($x), 50), 10, 200_000];
        yield 'parts of fuel to one of oil' => [static fn (float $x): mixed => Premix::oil($ml(1000), $x), 10, 200];
        yield 'spirit and water at, °C' => [static fn (float $x): mixed => EthanolWater::density(0.5, $c($x)), -20, 40];
        yield 'a jar to settle, mm' => [static fn (float $x): mixed => Settling::through($mm($x), Length::micrometres(50)), 5, 500];
        yield 'a drop that falls, µm' => [static fn (float $x): mixed => Settling::through($mm(100), Length::micrometres($x)), 1, 90];
        yield 'fuel in a tank, mL' => [static fn (float $x): mixed => TankFuel::inTank($ml($x), $c(10), $c(0)), 1, 200_000];
        yield 'a tank now, °C' => [static fn (float $x): mixed => TankFuel::inTank($ml(1000), $c($x), $c(0)), -20, 40];
        yield 'a tank tonight, °C' => [static fn (float $x): mixed => TankFuel::inTank($ml(1000), $c(0), $c($x)), -20, 40];
        yield 'fuel to be stabilized, mL' => [static fn (float $x): mixed => Stabilizer::dose($ml($x), $ml(30), $ml(10_000)), 10, 200_000];
        yield 'dose on the label, mL' => [static fn (float $x): mixed => Stabilizer::dose($ml(5000), $ml($x), $ml(10_000)), 0.1, 1000];
        yield 'for so much fuel, mL' => [static fn (float $x): mixed => Stabilizer::dose($ml(5000), $ml(30), $ml($x)), 100, 200_000];
        yield 'ethanol that holds water' => [static fn (float $x): mixed => WaterTolerance::shipped()->tolerated($x, $c(10), $ml(1000)), 0, 0.15];
        yield 'fuel that holds water, °C' => [static fn (float $x): mixed => WaterTolerance::shipped()->tolerated(0.1, $c($x), $ml(1000)), -20, 40];
        yield 'fuel that holds water, mL' => [static fn (float $x): mixed => WaterTolerance::shipped()->tolerated(0.1, $c(10), $ml($x)), 1, 200_000];
        yield 'age of fuel, months' => [static fn (float $x): mixed => FuelAge::months($x), 0, 600];
        yield 'water poured to see which layer grows, mL' => [static fn (float $x): mixed => LayerGrowth::read($ml($x), $ml(10), $ml(20)), 0.5, 500];
        yield 'layer before, mL' => [static fn (float $x): mixed => LayerGrowth::read($ml(10), $ml($x), $ml(2000)), 0, 2000];
        yield 'layer after, mL' => [static fn (float $x): mixed => LayerGrowth::read($ml(10), $ml(0), $ml($x)), 0, 2500];
        yield 'fuel shaken with water, mL' => [static fn (float $x): mixed => WaterShift::read($ml($x), $ml(10), $ml(10), $c(15)), 1, 2000];
        yield 'water shaken with fuel, mL' => [static fn (float $x): mixed => WaterShift::read($ml(100), $ml($x), $ml($x), $c(15)), 1, 2000];
        yield 'its reading, mL' => [static fn (float $x): mixed => WaterShift::read($ml(100), $ml(10), $ml(12), $c(15), $ml($x)), 0.01, 50];
        yield 'it stands at, °C' => [static fn (float $x): mixed => WaterShift::read($ml(100), $ml(10), $ml(12), $c($x)), 0, 40];

        yield 'battery rested, V' => [static fn (float $x): mixed => Battery::measured($volt($x), null, null), 0, 16];
        yield 'battery cranking, V' => [static fn (float $x): mixed => Battery::measured($volt(12), $volt($x), null), 0, 16];
        yield 'battery charging, V' => [static fn (float $x): mixed => Battery::measured($volt(12), null, $volt($x)), 0, 20];
        yield 'good coil, Ω' => [static fn (float $x): mixed => CoilComparison::against($ohm($x), $ohm(1)), 0.01, 1e6];
        yield 'suspect coil, Ω' => [static fn (float $x): mixed => CoilComparison::against($ohm(3), $ohm($x)), 0, 1e6];
        yield 'error of a meter' => [static fn (float $x): mixed => CoilComparison::against($ohm(3), $ohm(3), error: $x), 0, 0.2];

        yield 'poles' => [static fn (float $x): mixed => Alternator::withPoles(Count::each(round($x < 2 ? 1 : ($x > 8 ? 9 : $x)))), 2, 8];
        yield 'displacement that drinks, cm³' => [static fn (float $x): mixed => FuelNeed::atSpeed($ml($x), $rpm(3000)), 10, 2000];
        yield 'speed at which it drinks, rpm' => [static fn (float $x): mixed => FuelNeed::atSpeed($ml(160), $rpm($x)), 500, 15_000];
        yield 'flow that was measured, mL/min' => [static fn (float $x): mixed => FuelNeed::atSpeed($ml(160), $rpm(3000))->metBy(VolumeFlow::of($x, FlowUnit::MillilitrePerMinute)), 0, 20_000];
        yield 'a cup fills, s' => [static fn (float $x): mixed => FlowTest::timed([[$ml(50), $s($x)]], null), 2, 600];
        yield 'in a cup, mL' => [static fn (float $x): mixed => FlowTest::timed([[$ml($x), $s(30)]], null), 0, 5000];
        yield 'a blade, mm' => [static fn (float $x): mixed => BladeTip::fastest($mm($x)), 50, 2500];
        yield 'pump, gal/min' => [static fn (float $x): mixed => WasherCheck::measured($gpm($x), $psi(2000), $gpm(2), $psi(2000), null), 0.2, 20];
        yield 'pump, psi' => [static fn (float $x): mixed => WasherCheck::measured($gpm(2), $psi($x), $gpm(2), $psi(2000), null), 100, 10_000];
        yield 'at the gun, gal/min' => [static fn (float $x): mixed => WasherCheck::measured($gpm(2), $psi(2000), $gpm($x), $psi(2000), null), 0.05, 20];
        yield 'at the gauge, psi' => [static fn (float $x): mixed => WasherCheck::measured($gpm(2), $psi(2000), $gpm(2), $psi($x), null), 0, 10_000];
        yield 'trigger let go, psi' => [static fn (float $x): mixed => WasherCheck::measured($gpm(2), $psi(2000), $gpm(2), $psi(2000), $psi($x)), 0, 10_000];
        $steps = static fn (int $count): array => array_map(static fn (int $n): LoadStep => new LoadStep(Power::of($n, PowerUnit::Kilowatt), $volt(230), $hz(50)), range(1, $count));
        yield 'generator, V' => [static fn (float $x): mixed => LoadTest::ofSteps($steps(2), $volt($x), $hz(50)), 10, 500];
        yield 'generator, Hz' => [static fn (float $x): mixed => LoadTest::ofSteps($steps(2), $volt(230), $hz($x)), 40, 70];
        yield 'steps of load' => [static fn (float $x): mixed => LoadTest::ofSteps($steps($x < 2 ? 1 : ($x > 40 ? 41 : (int) $x)), $volt(230), $hz(50)), 2, 40];
        yield 'a side of a blade, mm' => [static fn (float $x): mixed => BladeTrack::measure($mm($x), $mm(50), $mm(0)), 0, 1000];
        yield 'the other side, mm' => [static fn (float $x): mixed => BladeTrack::measure($mm(50), $mm($x), $mm(0)), 0, 1000];
        yield 'the rule at a blade, mm' => [static fn (float $x): mixed => BladeTrack::measure($mm(50), $mm(50), $mm($x)), 0, 20];
        yield 'height of the bench, m' => [static fn (float $x): mixed => StandardAtmosphere::pressureShare($x), -500, 5000];
        yield 'pump of a nozzle, gal/min' => [static fn (float $x): mixed => SprayNozzle::forPump($gpm($x), $psi(2000)), 0.2, 20];
        yield 'pressure of a nozzle, psi' => [static fn (float $x): mixed => SprayNozzle::forPump($gpm(2), $psi($x)), 100, 10_000];
        yield 'a bucket, L' => [static fn (float $x): mixed => InletFlow::fromBucket(Volume::of($x, VolumeUnit::Litre), $s(60), $gpm(2), 0.03, $s(0.5)), 0, 200];
        yield 'a bucket fills, s' => [static fn (float $x): mixed => InletFlow::fromBucket($ml(10_000), $s($x), $gpm(2), 0.03, $s(0.5)), 1, 1800];
        yield 'its pump, gal/min' => [static fn (float $x): mixed => InletFlow::fromBucket($ml(10_000), $s(60), $gpm($x), 0.03, $s(0.5)), 0.2, 20];
        yield 'its marks' => [static fn (float $x): mixed => InletFlow::fromBucket($ml(10_000), $s(60), $gpm(2), $x, $s(0.5)), 0, 0.5];
        yield 'a thumb, s' => [static fn (float $x): mixed => InletFlow::fromBucket($ml(10_000), $s(60), $gpm(2), 0.03, $s($x)), 0, 10];
        yield 'air, °C' => [static fn (float $x): mixed => AirDensity::share($mm(0), $c($x)), -50, 60];

        yield 'a tap, px across' => [static fn (float $x): mixed => Point::at($x, 1), 0, 30_000];
        yield 'a tap, px down' => [static fn (float $x): mixed => Point::at(1, $x), 0, 30_000];
        yield 'taps on a jar, px' => [static fn (float $x): mixed => PhotoJar::read(Point::at(10, 900), null, Point::at(10, 10), null, null, $x), 0, 100];
        yield 'taps on a stick, px' => [static fn (float $x): mixed => PhotoStick::read(Point::at(0, 0), Point::at(0, 400), Point::at(0, 200), $x), 0, 100];
        yield 'oil on a stick, in tenths of a pixel: ten times its marks' => [static fn (float $x): mixed => PhotoStick::read(Point::at(0, 0), Point::at(0, 100), Point::at(0, $x / 10), 0), null, 10_000];
        yield 'taps on a rule, px' => [static fn (float $x): mixed => PhotoRule::between(Point::at(0, 0), Point::at(0, 100), Point::at(0, 0), Point::at(0, 100), $mm(100), $x), 0, 100];
        yield 'known on a rule, mm' => [static fn (float $x): mixed => PhotoRule::between(Point::at(0, 0), Point::at(0, 100), Point::at(0, 0), Point::at(0, 100), $mm($x), 1), 1, 1000];
        yield 'measured on a rule, px of 2 mm' => [static fn (float $x): mixed => PhotoRule::between(Point::at(0, 0), Point::at(0, $x), Point::at(0, 0), Point::at(0, 50), $mm(100), 1), null, 500];

        yield 'oil to be blended, mm²/s' => [static fn (float $x): mixed => GasolineBlend::blended($cst($x), $cst(0.5), 0.1), 2, 1e6];
        yield 'gasoline to be blended, mm²/s' => [static fn (float $x): mixed => GasolineBlend::blended($cst(100), $cst($x), 0.1), 0.2, 2];
        yield 'its share' => [static fn (float $x): mixed => GasolineBlend::blended($cst(100), $cst(0.5), $x), 0, 1];
        yield 'oil over temperature, mm²/s' => [static fn (float $x): mixed => ViscosityLine::through($c(40), $cst($x), $c(100), $cst(2)), 2, 1e6];
        yield 'oil at, °C' => [static fn (float $x): mixed => ViscosityLine::through($c($x), $cst(50), $c(100), $cst(50)), -60, 200];
        yield 'the oil hot, mm²/s: no thicker than at 40 °C' => [static fn (float $x): mixed => ThinnedOil::thinned($cst(93), $cst($x), 0.1), 2, 93];
        yield 'crankcase to the mark, mL' => [static fn (float $x): mixed => Dilution::drained($ml($x), $ml(50), null, $ml(0)), 50, 10_000];
        yield 'drained, mL' => [static fn (float $x): mixed => Dilution::drained($ml(10_000), $ml($x), $ml(0), $ml(0)), 0, 20_000];
        yield 'error of what was drained, mL' => [static fn (float $x): mixed => Dilution::drained($ml(600), $ml(700), $ml(0), $ml($x)), 0, 1000];
        yield 'left inside, mL' => [static fn (float $x): mixed => Dilution::drained($ml(600), $ml(700), $ml($x), $ml(0)), 0, 600];
        yield 'over the mark, mm' => [static fn (float $x): mixed => Dilution::overMark($ml(600), $mm($x), $ml(10), $mm(0)), 0, 200];
        yield 'a millimeter of the stick, mL' => [static fn (float $x): mixed => Dilution::overMark($ml(600), $mm(1), $ml($x), $mm(0)), 0.1, 100];
        yield 'error over the mark, mm' => [static fn (float $x): mixed => Dilution::overMark($ml(600), $mm(1), $ml(10), $mm($x)), 0, 50];
        yield 'dilution to be flushed' => [static fn (float $x): mixed => FlushPlan::reach($x, 0.1, 0.2, 1, $ml(600)), 0, 0.999];
        yield 'share left at a draining' => [static fn (float $x): mixed => FlushPlan::reach(0.4, $x, 0.02, 1, $ml(600)), 0.01, 0.5];
        yield 'dilution to be reached' => [static fn (float $x): mixed => FlushPlan::reach(0.4, 0.1, $x, 1, $ml(600)), 0.001, 0.2];
        yield 'share that does not boil off' => [static fn (float $x): mixed => FlushPlan::reach(0.4, 0.1, 0.02, $x, $ml(600)), 0, 1];
        yield 'filling that was measured, mL' => [static fn (float $x): mixed => FlushPlan::leftShare($ml($x), $ml($x)), 50, 10_000];
        yield 'refilled, mL' => [static fn (float $x): mixed => FlushPlan::leftShare($ml(600), $ml($x)), 300, 600];
        yield 'one change, h' => [static fn (float $x): mixed => FlushPlan::reach(0.4, 0.1, 0.02, 1, $ml(600))->time(Duration::of($x, DurationUnit::Hour)), 0, 8];
        yield 'coldest start, °C' => [static fn (float $x): mixed => SeasonOil::forStart($c($x)), -50, 50];

        yield 'of a machine, cm³' => [static fn (float $x): mixed => new MachineFacts(MachineKind::Mower, displacementCc: $x), 10, 2000];
        yield 'of a machine, : 1' => [static fn (float $x): mixed => new MachineFacts(MachineKind::Mower, compressionRatio: $x), 3, 20];
        yield 'of a machine, mL of oil' => [static fn (float $x): mixed => new MachineFacts(MachineKind::Mower, oilMl: $x), 50, 10_000];
        yield 'of a machine, mL of fuel' => [static fn (float $x): mixed => new MachineFacts(MachineKind::Mower, tankMl: $x), 50, 200_000];
        yield 'of a machine, mm of blade' => [static fn (float $x): mixed => new MachineFacts(MachineKind::Mower, bladeMm: $x), 50, 2500];
        yield 'of a machine, rpm' => [static fn (float $x): mixed => new MachineFacts(MachineKind::Mower, governedRpm: $x), 500, 15_000];
        yield 'its cylinders' => [static fn (float $x): mixed => new MachineFacts(MachineKind::Mower, cylinders: $x < 1 ? 0 : ($x > 2 ? 3 : (int) $x)), 1, 2];
    }

    /** @param \Closure(float): mixed $computed */
    #[DataProvider('bounds')]
    public function testIsComputedWithToTheEndsAndNotPastThem(\Closure $computed, ?float $least, ?float $most): void
    {
        // Rounding in a unit is forgiven; a thousandth is none.
        foreach ([[$least, -1], [$most, 1]] as [$end, $past]) {
            if (null !== $end) {
                $computed($end);
                self::assertRefused(...["past $end" => static fn (): mixed => $computed($end + $past * max(1e-3 * abs($end), 1e-4))]);
            }
        }
    }

    /** What each comes to at its ends and between them. */
    public function testComesToWhatItCameAllAlong(): void
    {
        $lines = [];
        foreach (self::bounds() as $name => [$computed, $least, $most]) {
            $from = $least ?? 0.0;
            $said = [];
            foreach ([0.0, 0.03, 0.11, 0.27, 0.5, 0.72, 0.9, 1.0] as $share) {
                try {
                    $said[] = Facts::said($computed($from + $share * (($most ?? 100.0) - $from)));
                } catch (Refusal $refusal) {
                    $said[] = $refusal->getMessage();
                }
            }
            $lines[] = Kept::short("$name: ".implode(' | ', $said));
        }
        Kept::is(__DIR__.'/Kept/readings-across-their-bounds.txt', $lines);
    }

    /** By hand, in the unit in which the spec book asks. */
    public function testTheSpecBookAsksWithinTheseBounds(): void
    {
        $said = [
            'Displacement' => '10 to 2000 cm³', 'Cylinders' => '1 to 2 ', 'CompressionRatio' => '3 to 20 : 1', 'Oil' => '50 to 10000 mL', 'OilPerMillimetre' => '0.1 to 100 mL', 'Tank' => '50 to 200000 mL',
            'GovernedSpeed' => '500 to 15000 rpm', 'Blade' => '50 to 2500 mm', 'LashLeast' => '0.01 to 5 mm', 'LashMost' => '0.01 to 5 mm', 'ExhaustLashLeast' => '0.01 to 5 mm', 'ExhaustLashMost' => '0.01 to 5 mm',
            'CoilWinding' => '0.0001 to 1000 kΩ', 'CoilGapLeast' => '0.01 to 5 mm', 'CoilGapMost' => '0.01 to 5 mm', 'PlugGapLeast' => '0.01 to 5 mm', 'PlugGapMost' => '0.01 to 5 mm',
            'PumpFlow' => '0.2 to 20 gal/min', 'PumpPressure' => '100 to 10000 psi', 'Poles' => '2 to 8 ', 'RatedFrequency' => '40 to 70 Hz', 'MainJet' => '0.1 to 5 mm', 'PilotJet' => '0.1 to 5 mm',
        ];
        $is = [];
        foreach (SpecFigure::cases() as $figure) {
            $bounds = $figure->possible();
            $is[$figure->name] = \sprintf('%s to %s %s', $bounds->least, $bounds->most, $bounds->unit->symbol());
        }
        self::assertEquals($said, $is);
    }
}
