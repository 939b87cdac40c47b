<?php

declare(strict_types=1);

namespace AwakeShed\Core\Fuel;

use AwakeShed\Core\StatedRefusal;
use AwakeShed\Core\Units\Volume;

/** A reading of the aqueous layer that no fuel could have given. */
final class ImpossibleWaterShift extends StatedRefusal
{
    public static function waterVanished(Volume $water, Volume $aqueous): self
    {
        return self::because('water_shift.water_vanished', 'The lower layer reads %s mL, less than the %s mL of water poured in.', $aqueous, $water);
    }

    public static function moreThanPoured(Volume $poured, Volume $aqueous): self
    {
        return self::because('water_shift.more_than_poured', 'The lower layer reads %s mL, more than the %s mL poured in all.', $aqueous, $poured);
    }

    public static function moreThanPureEthanol(Volume $most, Volume $aqueous): self
    {
        return self::because('water_shift.more_than_pure_ethanol', 'The lower layer reads %s mL; even pure ethanol would make %s mL.', $aqueous, $most);
    }

    private static function because(string $reason, string $sentence, Volume $read, Volume $limit): self
    {
        $figures = ['read' => round($read->inMillilitres(), 1), 'limit' => round($limit->inMillilitres(), 1)];

        return new self($reason, vsprintf($sentence, array_values($figures)), $figures);
    }
}
