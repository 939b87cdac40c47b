<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Drawing;

use AwakeShed\App\Drawing\Bar;
use AwakeShed\App\Drawing\BarDrawing;
use AwakeShed\App\Drawing\CourseDrawing;
use AwakeShed\App\Drawing\CylinderDrawing;
use AwakeShed\App\Drawing\Scale;
use AwakeShed\App\Drawing\SectionDrawing;
use AwakeShed\App\Drawing\TraceDrawing;
use AwakeShed\App\Unit\Figures;
use AwakeShed\Core\Carburetor\Carburetors;
use AwakeShed\Core\Carburetor\CarburetorType;
use AwakeShed\Core\Carburetor\Passage;
use AwakeShed\Core\Carburetor\PassageState;
use AwakeShed\Core\Cylinder\Hydrolock;
use AwakeShed\Core\Trace\NeedleTrace;
use AwakeShed\Core\Trace\SpeedTrace;
use AwakeShed\Core\Units\Ratio;
use AwakeShed\Core\Units\RatioUnit;
use AwakeShed\Core\Units\ShaftSpeed;
use AwakeShed\Core\Units\SpeedUnit;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Tests\Core\Trace\Shapes;
use AwakeShed\Tests\Seeded;
use PHPUnit\Framework\TestCase;

/** Drawings are honest: what is drawn lies in its frame and to scale. */
final class DrawingsTest extends TestCase
{
    public function testAScaleHasAFewRoundNumbersWithinItsEnds(): void
    {
        $random = new Seeded(12);
        for ($case = 0; $case < 300; ++$case) {
            $least = $random->float(-50, 50) * 10 ** $random->int(-3, 4);
            $most = $least + $random->float(0.01, 10) * 10 ** $random->int(-3, 4);
            $ticks = Scale::ticks($least, $most);
            $step = Scale::step($most - $least);
            self::assertGreaterThanOrEqual(2, \count($ticks));
            self::assertLessThanOrEqual(8, \count($ticks));
            self::assertMatchesRegularExpression('/^[125](\.0+)?e/', \sprintf('%e', $step));
            foreach ($ticks as $tick) {
                self::assertGreaterThanOrEqual($least - 1e-6 * $step, $tick);
                self::assertLessThanOrEqual($most + 1e-6 * $step, $tick);
                self::assertEqualsWithDelta(round($tick / $step), $tick / $step, 1e-6);
            }
        }
    }

    public function testATraceOfAnyLengthDrawsTwoPointsAColumnWithinItsFrame(): void
    {
        foreach ([20.0, 1000.0] as $rate) {
            $drawing = TraceDrawing::ofNeedle(NeedleTrace::fromPressures(Shapes::series(Shapes::needle($rate, decay: 0.001))));
            $points = explode(' ', $drawing->points);
            self::assertLessThanOrEqual(2 * (TraceDrawing::RIGHT - TraceDrawing::LEFT + 1), \count($points));
            foreach ($points as $point) {
                [$x, $level] = array_map(floatval(...), explode(',', $point));
                self::assertTrue($x >= TraceDrawing::LEFT && $x <= TraceDrawing::RIGHT, $point);
                self::assertTrue($level >= TraceDrawing::TOP - 0.1 && $level <= TraceDrawing::BOTTOM + 0.1, $point);
            }
            self::assertSame(['pop_off', 'reseat', 'hold_to'], array_column($drawing->marks, 'what'));
            self::assertLessThan($drawing->marks[1]->level, $drawing->marks[0]->level, 'it lifts higher than it seats');
            self::assertSame('hold', $drawing->bands[0][2]);
        }
    }

    public function testALimitIsDrawnAboveWhatStaysBelowIt(): void
    {
        $series = Shapes::series(Shapes::speed(20, 20, static fn (): float => 3100.0));
        $drawing = TraceDrawing::ofSpeed(SpeedTrace::fromSpeeds($series, ShaftSpeed::of(3456, SpeedUnit::Rpm)));
        self::assertNotNull($drawing->limitLevel);
        foreach (explode(' ', $drawing->points) as $point) {
            self::assertGreaterThan($drawing->limitLevel, (float) explode(',', $point)[1]);
        }
        self::assertNull(TraceDrawing::ofSpeed(SpeedTrace::fromSpeeds($series))->limitLevel);
    }

    public function testLiquidFillsItsShareOfTheRoomAndThenHoldsThePistonDown(): void
    {
        $at = static fn (float $millilitres): CylinderDrawing => CylinderDrawing::ofHydrolock(Hydrolock::in(Volume::millilitres(160), Ratio::of(9, RatioUnit::ToOne), Volume::millilitres($millilitres)));
        // 160/(9 − 1) = 20 mL of room.
        $half = $at(10);
        self::assertEqualsWithDelta((CylinderDrawing::TOP + CylinderDrawing::CROWN) / 2, $half->surface, 1e-9);
        self::assertSame((float) CylinderDrawing::CROWN, $half->crown);
        self::assertSame((float) CylinderDrawing::CROWN, $at(0)->surface);
        $full = $at(20);
        self::assertEqualsWithDelta([CylinderDrawing::TOP, CylinderDrawing::CROWN], [$full->surface, $full->crown], 1e-9);
        $above = $at(21);
        self::assertSame((float) CylinderDrawing::TOP, $above->surface);
        self::assertEqualsWithDelta(1.05 * (CylinderDrawing::CROWN - CylinderDrawing::TOP), $above->crown - CylinderDrawing::TOP, 1e-9);
        $over = $at(30);
        self::assertSame((float) CylinderDrawing::TOP, $over->surface);
        self::assertEqualsWithDelta(1.5 * (CylinderDrawing::CROWN - CylinderDrawing::TOP), $over->crown - CylinderDrawing::TOP, 1e-9, 'half as much again stands half as high again');
    }

    public function testAPassageIsMarkedAThirdAlongItsLongestStretch(): void
    {
        $marked = [];
        foreach (array_filter(Carburetors::shipped()->types, static fn (CarburetorType $type): bool => [] !== $type->passages) as $type) {
            $states = array_map(static fn (Passage $passage): PassageState => new PassageState($passage, [], false, null), $type->passages);
            foreach (SectionDrawing::ofCarburetor($type, $states, '')->passages as $passage) {
                $points = array_map(static fn (string $point): array => array_map(floatval(...), explode(' ', $point)), explode('L', substr($passage['paths'][0], 1)));
                $found = [];
                for ($to = 1; $to < \count($points); ++$to) {
                    $found[$to] = self::apart($points[$to - 1], $points[$to]);
                }
                $most = max([0.0, ...$found]);
                $longest = (int) array_search($most, $found, true);
                $at = [$passage['x'], $passage['y']];
                self::assertEqualsWithDelta([$most / 3, 2 * $most / 3], [self::apart($points[$longest - 1], $at), self::apart($at, $points[$longest])], 1e-9, "$type->id, {$passage['state']->passage->id}");
                $marked[$longest] = true;
            }
        }
        self::assertGreaterThan(1, \count($marked), 'not always on the first');
    }

    /**
     * @param array<int, float> $one
     * @param array<int, float> $other
     */
    private static function apart(array $one, array $other): float
    {
        return hypot($one[0] - $other[0], $one[1] - $other[1]);
    }

    public function testBeliefIsDrawnWithinItsFrameAndItsNumbersDoNotCoverOneAnother(): void
    {
        $drawing = CourseDrawing::ofBeliefs([['a' => 0.1, 'b' => 0.1, 'c' => 0.05], ['a' => 0.5, 'b' => 0.5, 'c' => 0.1], ['a' => 1.0, 'b' => 0.99, 'c' => 0.02]]);
        self::assertSame(['a', 'b'], array_column($drawing->lines, 'fault'), 'what was never believed is not drawn');
        foreach ($drawing->lines as $line) {
            preg_match_all('/([\d.]+) ([\d.]+)/', $line['path'], $points, \PREG_SET_ORDER);
            self::assertCount(3, $points);
            foreach ($points as [, $x, $y]) {
                self::assertTrue($x >= CourseDrawing::LEFT && $x <= CourseDrawing::RIGHT && $y >= CourseDrawing::TOP && $y <= CourseDrawing::BOTTOM, "$x, $y");
            }
        }
        self::assertGreaterThanOrEqual(20.0, $drawing->lines[1]['markY'] - $drawing->lines[0]['markY']);
        self::assertSame(['c'], array_column(CourseDrawing::ofBeliefs([['c' => 0.15, 'd' => 0.1499]])->lines, 'fault'), 'from 15 % on');
        self::assertSame([], CourseDrawing::ofBeliefs([[]])->lines);
    }

    public function testBarsStandOnOneFloorInProportion(): void
    {
        $bar = static fn (float $amount, ?float $least = null, ?float $most = null): Bar => new Bar('1', $amount, Figures::share($amount), $least, $most);
        $drawing = BarDrawing::withBars('expected_cost', [$bar(10), $bar(20, 12, 40)], 30, Figures::share(30));
        $floor = $drawing->level(0);
        self::assertEqualsWithDelta(2.0, ($floor - $drawing->level(20)) / ($floor - $drawing->level(10)), 0.02);
        self::assertLessThan($drawing->level(30), $drawing->level(40), 'the whisker stands out over the limit');
        self::assertSame($drawing->level(30), $drawing->limitLevel());
        self::assertGreaterThan($drawing->left(0) + $drawing->width(), $drawing->left(1), 'they do not touch');
        self::assertLessThan(BarDrawing::WIDTH, $drawing->left(1) + $drawing->width());
    }
}
