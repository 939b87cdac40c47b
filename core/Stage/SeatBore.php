<?php

declare(strict_types=1);

namespace AwakeShed\Core\Stage;

use AwakeShed\Core\Evidence\Feed;

/**
 * Two bores of seat are supplied for one carburetor: the larger lets enough through where fuel only falls, the smaller
 * holds against a pump (common practice).
 */
final readonly class SeatBore
{
    private function __construct()
    {
    }

    /**
     * @param list<string> $said what was chosen, in order; the last counts, and that the maker says so settles it
     *
     * @return 'small_on_gravity'|'large_on_pump'|'feed_unknown'|null
     */
    public static function doubt(?Feed $feed, array $said): ?string
    {
        return match ([[] === $said ? null : $said[\count($said) - 1], $feed]) {
            ['small_bore', Feed::Gravity] => 'small_on_gravity',
            ['large_bore', Feed::Pump] => 'large_on_pump',
            ['small_bore', null], ['large_bore', null] => 'feed_unknown',
            default => null,
        };
    }
}
