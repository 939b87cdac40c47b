<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Jet;

use AwakeShed\Core\Jet\BeforeDrilling;
use AwakeShed\Core\Jet\DrillingSchool;
use AwakeShed\Core\Jet\JetBore;
use AwakeShed\Core\Jet\JetEnlargement;
use AwakeShed\Core\Jet\NumberDrills;
use AwakeShed\Core\Jet\WireSet;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\LengthUnit;
use AwakeShed\Tests\Core\Refuses;
use AwakeShed\Tests\Seeded;
use PHPUnit\Framework\TestCase;

final class JetTest extends TestCase
{
    use Refuses;

    public function testTakesTheLargestWireThatCannotCut(): void
    {
        $wires = WireSet::fromWires(array_map(Length::millimetres(...), [0.6, 0.3, 0.45, 0.7]));
        self::assertEqualsWithDelta(0.6, $wires->forBore(self::bore(0.70))?->inMillimetres(), 1e-9);
        self::assertEqualsWithDelta(0.45, $wires->forBore(self::bore(0.50))?->inMillimetres(), 1e-9, 'nine tenths of the bore is allowed');
        self::assertNull($wires->forBore(self::bore(0.30)), 'as wide as the bore is too wide');
        self::assertNull(WireSet::fromWires([])->forBore(self::bore(0.70)));
    }

    public function testNoWireEverChosenIsWiderThanNineTenths(): void
    {
        $random = new Seeded(5);
        for ($case = 0; $case < 500; ++$case) {
            $set = WireSet::fromWires(array_map(static fn (): Length => Length::millimetres($random->float(0.05, 1.5)), range(1, $random->int(1, 8))));
            $bore = $random->float(0.2, 1.4);
            $wire = $set->forBore(self::bore($bore))?->inMillimetres();
            foreach ($set->wires as $other) {
                if ($other->inMillimetres() <= 0.9 * $bore) {
                    self::assertNotNull($wire);
                    self::assertGreaterThanOrEqual($other->inMillimetres(), $wire);
                }
            }
            self::assertTrue(null === $wire || $wire <= 0.9 * $bore + 1e-9);
        }
    }

    public function testIsNeverOpenedBeforeEverythingElseIsDone(): void
    {
        $weigh = static fn (DrillingSchool $school, BeforeDrilling ...$done): JetEnlargement => JetEnlargement::weigh(self::bore(0.70), self::bore(0.75), $school, array_values($done), self::bore(0.7112)->diameter);
        self::assertFalse($weigh(DrillingSchool::Never, ...BeforeDrilling::cases())->isAllowed());
        self::assertTrue($weigh(DrillingSchool::NextSizeUp, ...BeforeDrilling::cases())->isAllowed());
        foreach (BeforeDrilling::cases() as $left) {
            $advice = $weigh(DrillingSchool::NextSizeUp, ...array_filter(BeforeDrilling::cases(), static fn (BeforeDrilling $step): bool => $step !== $left));
            self::assertFalse($advice->isAllowed());
            self::assertSame([$left], $advice->missing);
        }
    }

    public function testNeverMoreThanOneStep(): void
    {
        $to = static fn (float $bore): JetEnlargement => JetEnlargement::weigh(self::bore(0.40), self::bore($bore), DrillingSchool::NextSizeUp, BeforeDrilling::cases(), Length::of(0.018, LengthUnit::Inch));
        self::assertTrue($to(0.457)->isAllowed(), 'the next drill');
        self::assertFalse($to(0.51)->isAllowed(), 'the one after it');
        // A bore of 0.40 read to a hundredth may be the 78 drill of 0.406.
        $drills = NumberDrills::shipped();
        self::assertSame(77, $drills->nextAbove(Length::millimetres(0.40), Length::millimetres(0.01)));
        self::assertSame(78, $drills->nextAbove(Length::millimetres(0.39), Length::millimetres(0.01)));
    }

    public function testTheErrorOfTheBoreIsTwiceThatOfTheFlow(): void
    {
        self::assertEqualsWithDelta(0.033, self::bore(0.70)->flowError(self::bore(0.75), Length::millimetres(0.01)), 0.001);
    }

    public function testMoreFlowMakesTheMixtureRicherByAsMuch(): void
    {
        $advice = JetEnlargement::weigh(self::bore(0.70), self::bore(0.75), DrillingSchool::Never, [], self::bore(0.7112)->diameter);
        self::assertEqualsWithDelta(1.148, $advice->flow, 0.0005);
        self::assertEqualsWithDelta(12.8, $advice->mixtureFrom(14.7), 0.01);
    }

    public function testRefusesADrillThatDoesNotOpenIt(): void
    {
        self::assertRefused(
            static fn () => JetEnlargement::weigh(self::bore(0.70), self::bore(0.70), DrillingSchool::Never, [], self::bore(0.7112)->diameter),
            static fn () => JetEnlargement::weigh(self::bore(0.70), self::bore(0.60), DrillingSchool::Never, [], self::bore(0.7112)->diameter),
            static fn () => JetEnlargement::weigh(self::bore(0.70), self::bore(1.00), DrillingSchool::Never, [], self::bore(0.7112)->diameter),
            static fn () => WireSet::fromWires([Length::millimetres(0)]),
        );
    }

    private static function bore(float $millimetres): JetBore
    {
        return JetBore::ofDiameter(Length::millimetres($millimetres));
    }
}
