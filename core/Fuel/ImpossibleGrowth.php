<?php

declare(strict_types=1);

namespace AwakeShed\Core\Fuel;

use AwakeShed\Core\StatedRefusal;
use AwakeShed\Core\Units\Volume;

/** A lower layer that got smaller when water was added to it: one of the two readings is wrong. */
final class ImpossibleGrowth extends StatedRefusal
{
    public static function layerShrank(Volume $before, Volume $after): self
    {
        $figures = ['before' => round($before->inMillilitres(), 1), 'after' => round($after->inMillilitres(), 1)];

        return new self('growth.layer_shrank', vsprintf('The lower layer was %s mL before the dose and reads %s mL after it.', array_values($figures)), $figures);
    }
}
