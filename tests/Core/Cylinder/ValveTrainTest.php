<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Cylinder;

use AwakeShed\Core\Cylinder\ValveTrain;
use PHPUnit\Framework\TestCase;

final class ValveTrainTest extends TestCase
{
    public function testLashIsSetAtTheTopOfCompressionAndNotAtTheOther(): void
    {
        self::assertTrue(ValveTrain::isLashSetHere(ValveTrain::COMPRESSION_TOP, 15.0));
        self::assertTrue(ValveTrain::isLashSetHere(720.0, 15.0), 'two turns on it is the same top');
        self::assertTrue(ValveTrain::isLashSetHere(-720.0, 15.0));
        self::assertFalse(ValveTrain::isLashSetHere(ValveTrain::OVERLAP_TOP, 15.0));
        self::assertFalse(ValveTrain::isLashSetHere(ValveTrain::OVERLAP_TOP, 1.0));
    }

    public function testTheStrokesComeInTheirOrder(): void
    {
        // Power 0-180, exhaust 180-360, intake 360-540, compression 540-720.
        foreach ([[90.0, false, false], [270.0, true, false], [360.0, true, true], [450.0, false, true], [630.0, false, false]] as [$degrees, $exhaust, $intake]) {
            self::assertSame($exhaust, ValveTrain::exhaustLift($degrees) > 0.0, "exhaust at $degrees");
            self::assertSame($intake, ValveTrain::intakeLift($degrees) > 0.0, "intake at $degrees");
        }
    }

    public function testNoLiftIsMoreThanWholeAndEachValveOpensOnceACycle(): void
    {
        foreach ([ValveTrain::exhaustLift(...), ValveTrain::intakeLift(...)] as $lift) {
            $openings = 0;
            $most = 0.0;
            for ($degrees = 1.0; $degrees <= 720.0; ++$degrees) {
                self::assertGreaterThanOrEqual(0.0, $lift($degrees));
                $most = max($most, $lift($degrees));
                $openings += $lift($degrees) > 0.0 && 0.0 === $lift($degrees - 1.0) ? 1 : 0;
            }
            self::assertSame(1, $openings);
            self::assertEqualsWithDelta(1.0, $most, 1e-3);
        }
    }
}
