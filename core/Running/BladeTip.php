<?php

declare(strict_types=1);

namespace AwakeShed\Core\Running;

use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\LengthUnit;
use AwakeShed\Core\Units\ShaftSpeed;
use AwakeShed\Core\Units\SpeedUnit;

/** The speed a mower blade must not pass: its tip at 19 000 feet a minute (ANSI/OPEI B71.1, published). */
final readonly class BladeTip
{
    private const FEET_PER_MINUTE = 19_000.0;

    private function __construct()
    {
    }

    /**
     * @param Length $blade tip to tip, not the width of the deck, 50 to 2500 mm
     *
     * @throws \AwakeShed\Core\Units\ImpossibleAmount outside that
     */
    public static function fastest(Length $blade): ShaftSpeed
    {
        (new Interval(50.0, 2500.0, LengthUnit::Millimetre))->demand($blade);

        return ShaftSpeed::of(self::FEET_PER_MINUTE * 12 / (\M_PI * $blade->in(LengthUnit::Inch)), SpeedUnit::Rpm);
    }
}
