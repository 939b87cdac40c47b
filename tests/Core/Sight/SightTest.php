<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Sight;

use AwakeShed\Core\Refusal;
use AwakeShed\Core\Sight\PhotoJar;
use AwakeShed\Core\Sight\PhotoRule;
use AwakeShed\Core\Sight\PhotoStick;
use AwakeShed\Core\Sight\Point;
use AwakeShed\Core\Units\Length;
use AwakeShed\Tests\Seeded;
use PHPUnit\Framework\TestCase;

final class SightTest extends TestCase
{
    public function testTheCamerasLeanIsTakenOutByTheJarsSide(): void
    {
        $random = new Seeded(7);
        for ($case = 0; $case < 200; ++$case) {
            $share = $random->float(0.05, 0.9);
            $turn = $random->float(-0.5, 0.5);
            $scale = $random->float(200, 900);
            // Along the jar, and across it: where a finger taps a level surface does not matter once the side is known.
            $at = static fn (float $along, float $across): Point => Point::at(1500 + $scale * ($along * sin($turn) + $across * cos($turn)), 1500 - $scale * ($along * cos($turn) - $across * sin($turn)));
            $jar = PhotoJar::read($at(0, $random->float(-0.2, 0.2)), $at($share, $random->float(-0.2, 0.2)), $at(1, $random->float(-0.2, 0.2)), $at(0.1, -0.3), $at(0.9, -0.3), 0.0);
            self::assertEqualsWithDelta($share, $jar->lower, 1e-9);
        }
    }

    public function testTheErrorIsWhatWrongTapsDo(): void
    {
        $random = new Seeded(8);
        $read = static fn (float $bottom, float $edge, float $surface): float => PhotoJar::read(Point::at(0, 1000 + $bottom), Point::at(0, 800 + $edge), Point::at(0, 400 + $surface), null, null, 4.0)->lower;
        $off = [];
        for ($case = 0; $case < 4000; ++$case) {
            $off[] = ($read($random->float(-4, 4), $random->float(-4, 4), $random->float(-4, 4)) - 1 / 3) ** 2;
        }
        // Evenly spread taps have a root mean square of the half-width over √3.
        self::assertEqualsWithDelta(PhotoJar::read(Point::at(0, 1000), Point::at(0, 800), Point::at(0, 400), null, null, 4.0)->halfWidth / sqrt(3), sqrt(array_sum($off) / \count($off)), 2e-4);
    }

    public function testAStickIsReadAlongItself(): void
    {
        $read = static fn (float $share, float $error = 2.0): PhotoStick => PhotoStick::read(Point::at(100, 900), Point::at(400, 500), Point::at(100 + 300 * $share, 900 - 400 * $share), $error);
        self::assertEqualsWithDelta(0.4, $read(0.4)->share, 1e-9);
        self::assertSame(['below_mark', 'at_mark', 'over_mark', 'far_over', null], [$read(-0.2)->outcome(), $read(0.5)->outcome(), $read(1.2)->outcome(), $read(2.0)->outcome(), $read(1.0)->outcome()]);
        // With taps that do not err, on the marks themselves.
        $exact = static fn (float $y): ?string => PhotoStick::read(Point::at(0, 800), Point::at(0, 400), Point::at(0, $y), 0.0)->outcome();
        self::assertSame(['below_mark', 'at_mark', 'at_mark', 'over_mark', 'over_mark', 'far_over'], array_map($exact, [801.0, 800.0, 400.0, 399.0, 201.0, 200.0]));
    }

    public function testARuleInThePictureGivesTheScale(): void
    {
        self::assertSame(0.0, PhotoRule::between(Point::at(0, 0), Point::at(0, 30), Point::at(50, 0), Point::at(50, 10), Length::millimetres(10), 0.0)->halfWidth->inMillimetres(), 'taps that are sure');
        $gap = PhotoRule::between(Point::at(0, 0), Point::at(30, 40), Point::at(0, 100), Point::at(100, 100), Length::millimetres(20), 1.0);
        self::assertEqualsWithDelta(10, $gap->length->inMillimetres(), 1e-9);
        self::assertGreaterThan(0.2, $gap->halfWidth->inMillimetres());
    }

    public function testRefusesPointsThatMakeNoMeasurement(): void
    {
        foreach ([
            'photo.points_together' => static fn () => PhotoJar::read(Point::at(5, 5), null, Point::at(5, 5), null, null, 1.0),
            'photo.points_order' => static fn () => PhotoJar::read(Point::at(0, 500), Point::at(0, 900), Point::at(0, 100), null, null, 1.0),
            'photo.points_order ' => static fn () => PhotoJar::read(Point::at(0, 900), Point::at(0, 50), Point::at(0, 100), null, null, 1.0),
            'amount.out_of_range' => static fn () => Point::at(-1, 5),
        ] as $reason => $absurd) {
            try {
                $absurd();
                self::fail('It was read.');
            } catch (Refusal $refusal) {
                self::assertSame(trim($reason), $refusal->reason());
            }
        }
    }
}
