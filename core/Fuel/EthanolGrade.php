<?php

declare(strict_types=1);

namespace AwakeShed\Core\Fuel;

/** The grades fuel is sold in, weakest first; each named for the most ethanol it may hold by volume. */
enum EthanolGrade: string
{
    case E0 = 'e0';
    case E5 = 'e5';
    case E10 = 'e10';
    case E15 = 'e15';

    /** Anything above: sold for flexible-fuel vehicles, not for this engine. */
    case Flex = 'flex';

    /** Fraction by volume, 0 to 1. */
    public function mostEthanol(): float
    {
        return match ($this) {
            self::E0 => 0.0,
            self::E5 => 0.05,
            self::E10 => 0.10,
            self::E15 => 0.15,
            self::Flex => 1.0,
        };
    }
}
