<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Running;

use AwakeShed\Core\Running\BladeTrack;
use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\Length;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class BladeTrackTest extends TestCase
{
    /** An eighth of an inch is 3.175 mm; two readings of ± 0.5 mm are ± 0.7 mm apart. */
    #[TestWith([20.0, 20.5, 0.5, true], 'half a millimeter')]
    #[TestWith([20.0, 22.4, 0.5, true], 'just within, error and all')]
    #[TestWith([20.0, 23.0, 0.5, null], 'the readings cannot tell')]
    #[TestWith([20.0, 23.0, 0.0, true], 'with a better rule they can')]
    #[TestWith([50.0, 53.175, 0.0, true], 'an eighth of an inch to a hair')]
    #[TestWith([26.0, 20.0, 0.5, false], 'a quarter of an inch, either way round')]
    public function testTellsABentShaftFromAStraightOne(float $one, float $other, float $error, ?bool $isTrue): void
    {
        self::assertSame($isTrue, BladeTrack::measure(Length::millimetres($one), Length::millimetres($other), Length::millimetres($error))->isTrue());
    }

    public function testRefusesWhatNoDeckHas(): void
    {
        $this->expectException(ImpossibleAmount::class);
        BladeTrack::measure(Length::millimetres(1200), Length::millimetres(20), Length::millimetres(1));
    }
}
