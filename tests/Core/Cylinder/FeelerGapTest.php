<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Cylinder;

use AwakeShed\Core\Cylinder\FeelerGap;
use AwakeShed\Core\Cylinder\Gap;
use AwakeShed\Core\Cylinder\GapFit;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\LengthUnit;
use AwakeShed\Tests\Core\Refuses;
use PHPUnit\Framework\TestCase;

final class FeelerGapTest extends TestCase
{
    use Refuses;

    public function testTheSpecBookComesBeforeWhatIsUsual(): void
    {
        $measured = Length::millimetres(0.07);
        $usual = FeelerGap::read(Gap::ValveLash, $measured);
        self::assertSame(GapFit::Tight, $usual->fit());
        self::assertTrue($usual->isUnverified);
        $known = FeelerGap::read(Gap::ValveLash, $measured, Length::millimetres(0.06), Length::millimetres(0.12));
        self::assertSame(GapFit::Fits, $known->fit());
        self::assertFalse($known->isUnverified);
    }

    public function testABladeAsThickAsTheLimitFits(): void
    {
        // 4 and 8 thou are 0.1016 and 0.2032 mm; the usual range is 0.08 to 0.20.
        self::assertSame(GapFit::Fits, FeelerGap::read(Gap::ValveLash, Length::of(4, LengthUnit::Thou))->fit());
        self::assertSame(GapFit::Fits, FeelerGap::read(Gap::CoilAir, Length::millimetres(0.20))->fit());
        self::assertSame(GapFit::Fits, FeelerGap::read(Gap::Plug, Length::of(30, LengthUnit::Thou))->fit());
        self::assertSame(GapFit::Wide, FeelerGap::read(Gap::CoilAir, Length::millimetres(0.41))->fit());
    }

    public function testSaysByHowMuchItIsToBeMoved(): void
    {
        self::assertEqualsWithDelta(0.09, FeelerGap::read(Gap::ValveLash, Length::millimetres(0.05))->toMiddle()?->inMillimetres(), 1e-9);
        self::assertEqualsWithDelta(-0.10, FeelerGap::read(Gap::Plug, Length::millimetres(0.80))->toMiddle()?->inMillimetres(), 1e-9);
    }

    public function testOneEndOfARangeIsHeldAgainstAndNoMore(): void
    {
        $least = static fn (float $measured): FeelerGap => FeelerGap::read(Gap::ValveLash, Length::millimetres($measured), Length::millimetres(0.2));
        self::assertSame(GapFit::Tight, $least(0.15)->fit());
        self::assertSame(GapFit::HalfKnown, $least(0.25)->fit());
        self::assertNull($least(0.25)->toMiddle());
        self::assertSame(GapFit::Wide, FeelerGap::read(Gap::Plug, Length::millimetres(0.9), null, Length::millimetres(0.8))->fit());
        self::assertSame(GapFit::HalfKnown, FeelerGap::read(Gap::ValveLash, Length::millimetres(0.03), null, Length::millimetres(0.05))->fit());
    }

    public function testRefusesALeastAboveTheMost(): void
    {
        self::assertRefused(
            static fn () => FeelerGap::read(Gap::Plug, Length::millimetres(0.7), Length::millimetres(0.9), Length::millimetres(0.8)),
            static fn () => FeelerGap::read(Gap::Plug, Length::millimetres(-0.1)),
            static fn () => FeelerGap::read(Gap::Plug, Length::millimetres(6)),
        );
    }
}
