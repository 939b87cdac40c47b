<?php

declare(strict_types=1);

namespace AwakeShed\Core\Oil;

use AwakeShed\Core\StatedRefusal;
use AwakeShed\Core\Units\Volume;

/** A crankcase that held less than its mark: nothing can be said of gasoline in it. */
final class ImpossibleDilution extends StatedRefusal
{
    public static function lessThanMark(Volume $mark, Volume $contents): self
    {
        $figures = ['contents' => round($contents->inMillilitres(), 1), 'mark' => round($mark->inMillilitres(), 1)];

        return new self('dilution.less_than_mark', vsprintf('Only %s mL were inside; the mark stands for %s mL.', array_values($figures)), $figures);
    }
}
