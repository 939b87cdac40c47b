<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Running;

use AwakeShed\Core\Running\Alternator;
use AwakeShed\Core\Trace\SeriesFile;
use AwakeShed\Core\Units\Count;
use AwakeShed\Core\Units\FrequencyUnit;
use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\ShaftSpeed;
use AwakeShed\Core\Units\SpeedUnit;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class AlternatorTest extends TestCase
{
    /** 60 Hz are 3600 rpm with two poles and 1800 with four; rpm are what they are, whatever the poles. One turn is 2π rad. */
    public function testWhatAFileHoldsBecomesTheSpeedOfTheShaft(): void
    {
        foreach ([['f [Hz]', 60.0, 2, 3600.0], ['f [Hz]', 60.0, 4, 1800.0], ['f [Hz]', 50.0, 2, 3000.0], ['n [rpm]', 3600.0, 4, 3600.0]] as [$head, $value, $poles, $rpm]) {
            $file = SeriesFile::parse("t [s],$head\n0,$value\n1,$value\n2,$value", [...SpeedUnit::cases(), ...FrequencyUnit::cases()]);
            $speeds = Alternator::withPoles(Count::each($poles))->speeds($file);
            self::assertSame([0.0, 1.0, 2.0], $speeds->times);
            self::assertEqualsWithDelta(array_fill(0, 3, $rpm / 60 * 2 * \M_PI), $speeds->values, 1e-9, "$value $head, $poles poles");
        }
    }

    #[TestWith([-2.0])]
    #[TestWith([0.0])]
    #[TestWith([3.0])]
    #[TestWith([4.5])]
    #[TestWith([10.0])]
    public function testPolesComeInPairsTwoToEight(float $poles): void
    {
        foreach ([2, 4, 6, 8] as $there) {
            self::assertEqualsWithDelta(60.0, Alternator::withPoles(Count::each($there))->frequency(ShaftSpeed::of(7200 / $there, SpeedUnit::Rpm))->in(FrequencyUnit::Hertz), 1e-9);
        }
        $this->expectException(ImpossibleAmount::class);
        Alternator::withPoles(Count::each($poles));
    }
}
