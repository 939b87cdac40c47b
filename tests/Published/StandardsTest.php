<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Published;

use AwakeShed\Core\Fuel\Premix;
use AwakeShed\Core\Jet\JetBore;
use AwakeShed\Core\Jet\NumberDrills;
use AwakeShed\Core\Running\AirDensity;
use AwakeShed\Core\Running\Alternator;
use AwakeShed\Core\Running\BladeTip;
use AwakeShed\Core\Running\FlowVerdict;
use AwakeShed\Core\Running\FuelNeed;
use AwakeShed\Core\Running\PerformanceClass;
use AwakeShed\Core\Running\SprayNozzle;
use AwakeShed\Core\Running\StandardAtmosphere;
use AwakeShed\Core\Units\Count;
use AwakeShed\Core\Units\FlowUnit;
use AwakeShed\Core\Units\Frequency;
use AwakeShed\Core\Units\FrequencyUnit;
use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\LengthUnit;
use AwakeShed\Core\Units\Pressure;
use AwakeShed\Core\Units\ShaftSpeed;
use AwakeShed\Core\Units\SpeedUnit;
use AwakeShed\Core\Units\Temperature;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeFlow;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The smaller standards: ISA, B71.1, B94.11M, and the orifice relation in cases worked by hand. */
final class StandardsTest extends TestCase
{
    /** @return iterable<string, array{float, float, float}> metres, pressure and density share: the standard's table (published) */
    public static function heights(): iterable
    {
        yield 'sea level' => [0, 1.0, 1.0];
        yield '1000 m' => [1000, 0.8870, 0.9075];
        yield '1500 m' => [1500, 0.8345, 0.8638];
        yield '2000 m' => [2000, 0.7846, 0.8217];
        yield '5000 m' => [5000, 0.5331, 0.6009];
    }

    #[DataProvider('heights')]
    public function testTheAtmosphereIsTheStandards(float $metres, float $pressure, float $density): void
    {
        self::assertEqualsWithDelta($pressure, StandardAtmosphere::pressureShare($metres), 0.0002);
        self::assertEqualsWithDelta($density, StandardAtmosphere::densityShare($metres), 0.0003);
    }

    /** @return iterable<string, array{float, float}> inches, rpm */
    public static function blades(): iterable
    {
        yield '20 in' => [20, 3629];
        yield '21 in' => [21, 3456];
        yield '22 in' => [22, 3299];
    }

    #[DataProvider('blades')]
    public function testABladeTipStaysBelowItsLimit(float $inches, float $rpm): void
    {
        self::assertEqualsWithDelta($rpm, BladeTip::fastest(Length::of($inches, LengthUnit::Inch))->in(SpeedUnit::Rpm), 0.5);
    }

    /** @return iterable<string, array{int, float}> number, inches (ASME B94.11M) */
    public static function drills(): iterable
    {
        foreach ([80 => 0.0135, 79 => 0.0145, 78 => 0.016, 77 => 0.018, 76 => 0.020, 75 => 0.021, 74 => 0.0225, 73 => 0.024, 72 => 0.025, 71 => 0.026, 70 => 0.028, 60 => 0.040] as $number => $inches) {
            yield '#'.$number => [$number, $inches];
        }
    }

    #[DataProvider('drills')]
    public function testDrillsAreTheStandards(int $number, float $inches): void
    {
        $drills = NumberDrills::shipped();
        self::assertEqualsWithDelta($inches, $drills->diameter($number)?->in(LengthUnit::Inch), 1e-9);
        self::assertSame($number, $drills->nearest(Length::of($inches * 1.001, LengthUnit::Inch)));
        self::assertSame(60 === $number ? null : true, null === $drills->nextAbove(Length::of($inches, LengthUnit::Inch), Length::millimetres(0)) ? null : true);
    }

    public function testTheNextDrillIsTheNextOfTheTable(): void
    {
        $drills = NumberDrills::shipped();
        self::assertSame(77, $drills->nextAbove(Length::of(0.016, LengthUnit::Inch), Length::millimetres(0)));
        self::assertSame(80, $drills->nextAbove(Length::millimetres(0.2), Length::millimetres(0)));
        self::assertNull($drills->diameter(59));
    }

    public function testFlowGoesWithTheArea(): void
    {
        $bore = static fn (float $amount, LengthUnit $unit): JetBore => JetBore::ofDiameter(Length::of($amount, $unit));
        self::assertEqualsWithDelta(1.266, $bore(0.016, LengthUnit::Inch)->flowInto($bore(0.018, LengthUnit::Inch)), 0.0005);
        self::assertEqualsWithDelta(1.148, $bore(0.70, LengthUnit::Millimetre)->flowInto($bore(0.75, LengthUnit::Millimetre)), 0.0005);
        self::assertEqualsWithDelta(0.63, $bore(0.70, LengthUnit::Millimetre)->widestWire()->inMillimetres(), 1e-9);
    }

    public function testThinAirWantsASmallerJetByTheFourthRoot(): void
    {
        $jet = JetBore::ofDiameter(Length::millimetres(0.70));
        // A sixteenth part less area follows from an eighth less air: (7/8)^½ = 0.935.
        self::assertEqualsWithDelta(0.935, $jet->flowInto($jet->forAir(0.875)), 0.001);
        self::assertEqualsWithDelta(0.70, $jet->forAir(1.0)->diameter->inMillimetres(), 1e-12);
    }

    public function testAMowerDrinksTwentyTwoMillilitresAMinute(): void
    {
        $need = FuelNeed::atSpeed(Volume::millilitres(160), ShaftSpeed::of(3000, SpeedUnit::Rpm));
        self::assertEqualsWithDelta(16.6, $need->gramsPerMinute(), 0.05);
        self::assertEqualsWithDelta(22.3, $need->flow()->in(FlowUnit::MillilitrePerMinute), 0.05);
        self::assertSame(FlowVerdict::Starves, $need->metBy(VolumeFlow::of(20, FlowUnit::MillilitrePerMinute)));
        self::assertSame(FlowVerdict::Scant, $need->metBy(VolumeFlow::of(40, FlowUnit::MillilitrePerMinute)));
        self::assertSame(FlowVerdict::Ample, $need->metBy(VolumeFlow::of(70, FlowUnit::MillilitrePerMinute)));
    }

    public function testANozzleIsCountedAtFourThousandPsi(): void
    {
        self::assertEqualsWithDelta(3.79, SprayNozzle::forPump(VolumeFlow::of(3, FlowUnit::GallonPerMinute), Pressure::psi(2500))->size, 0.005);
        self::assertEqualsWithDelta(3.0, SprayNozzle::forPump(VolumeFlow::of(3, FlowUnit::GallonPerMinute), Pressure::psi(4000))->size, 1e-12);
    }

    /** @return iterable<string, array{float, float, float}> litres of fuel, parts to one, mL: as cans have it printed */
    public static function mixes(): iterable
    {
        yield '50 to 1' => [1, 50, 20];
        yield '40 to 1' => [1, 40, 25];
        yield '50 to 1, a US gallon: 2.6 fl oz' => [3.785411784, 50, 2.56 * 29.57353];
    }

    #[DataProvider('mixes')]
    public function testPremixIsWhatCansSay(float $litres, float $parts, float $millilitres): void
    {
        self::assertEqualsWithDelta($millilitres, Premix::oil(Volume::millilitres(1000 * $litres), $parts)->inMillilitres(), 0.005);
    }

    /** @return iterable<string, array{float, float, ?PerformanceClass}> droop and band, per cent; class (ISO 8528-5, its table of limits) */
    public static function sets(): iterable
    {
        yield 'at the limits of G3' => [3.0, 0.5, PerformanceClass::G3];
        yield 'band just past G3' => [3.0, 0.51, PerformanceClass::G2];
        yield 'at the limits of G2' => [5.0, 1.5, PerformanceClass::G2];
        yield 'droop just past G2' => [5.1, 0.4, PerformanceClass::G1];
        yield 'at the limits of G1' => [8.0, 2.5, PerformanceClass::G1];
        yield 'band past them all' => [1.0, 2.6, null];
        yield 'droop past them all' => [8.1, 0.1, null];
        yield 'faster under load than without' => [-9.0, 0.1, null];
    }

    #[DataProvider('sets')]
    public function testAGeneratingSetIsOfTheBestClassBothMeet(float $droop, float $band, ?PerformanceClass $class): void
    {
        self::assertSame($class, PerformanceClass::metBy($droop, $band));
    }

    /** @return iterable<string, array{int, float, float}> poles, rpm, hertz: the synchronous speeds of any textbook */
    public static function alternators(): iterable
    {
        yield 'two poles, 60 Hz' => [2, 3600, 60];
        yield 'two poles, 50 Hz' => [2, 3000, 50];
        yield 'four poles, 60 Hz' => [4, 1800, 60];
        yield 'eight poles, 50 Hz' => [8, 750, 50];
    }

    #[DataProvider('alternators')]
    public function testSynchronousSpeeds(int $poles, float $rpm, float $hertz): void
    {
        $alternator = Alternator::withPoles(Count::each($poles));
        self::assertEqualsWithDelta($hertz, $alternator->frequency(ShaftSpeed::of($rpm, SpeedUnit::Rpm))->in(FrequencyUnit::Hertz), 1e-9);
        self::assertEqualsWithDelta($rpm, $alternator->speed(Frequency::of($hertz, FrequencyUnit::Hertz))->in(SpeedUnit::Rpm), 1e-9);
    }

    public function testColdAirIsDenserByItsAbsoluteTemperature(): void
    {
        self::assertEqualsWithDelta(1.0, AirDensity::share(Length::millimetres(0), Temperature::celsius(15)), 1e-9);
        // The standard's own air at 2000 m is 2.0 °C; then its own density comes out.
        self::assertEqualsWithDelta(0.8217, AirDensity::share(Length::of(2000, LengthUnit::Metre), Temperature::celsius(2.0)), 0.0003);
        // ρ at −20 °C over ρ at 15 °C: 1.395 and 1.225 kg/m³ of any table of dry air at one atmosphere.
        self::assertEqualsWithDelta(1.395 / 1.225, AirDensity::share(Length::millimetres(0), Temperature::celsius(-20)), 0.001);
    }

    public function testRefusesWhatIsOutsideTheirReach(): void
    {
        foreach ([
            static fn () => StandardAtmosphere::pressureShare(12000),
            static fn () => StandardAtmosphere::densityShare(\NAN),
            static fn () => BladeTip::fastest(Length::millimetres(0)),
            static fn () => SprayNozzle::forPump(VolumeFlow::of(0, FlowUnit::GallonPerMinute), Pressure::psi(2500)),
            static fn () => Alternator::withPoles(Count::each(3)),
            static fn () => Alternator::withPoles(Count::each(2.5)),
            static fn () => AirDensity::share(Length::millimetres(0), Temperature::celsius(90)),
            static fn () => Premix::oil(Volume::millilitres(1000), 1),
            static fn () => JetBore::ofDiameter(Length::millimetres(12)),
            static fn () => JetBore::ofDiameter(Length::millimetres(0.7))->forAir(0.1),
            static fn () => FuelNeed::atSpeed(Volume::millilitres(160), ShaftSpeed::of(100_000, SpeedUnit::Rpm)),
            static fn () => FuelNeed::atSpeed(Volume::millilitres(160), ShaftSpeed::of(3000, SpeedUnit::Rpm))->metBy(VolumeFlow::of(-1, FlowUnit::MillilitrePerMinute)),
        ] as $beyond) {
            try {
                $beyond();
                self::fail('It was computed.');
            } catch (ImpossibleAmount $refusal) {
                self::assertNotSame('', $refusal->getMessage());
            }
        }
    }
}
