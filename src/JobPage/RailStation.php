<?php

declare(strict_types=1);

namespace AwakeShed\App\JobPage;

use AwakeShed\Core\Line\ElementTone;

/** One station of the rail: a room of the line. */
final readonly class RailStation
{
    /**
     * @param ElementTone|null $tone what is known of the element; null for a room around the line
     * @param string           $made what was made of it last; empty where nobody touched it
     */
    public function __construct(public string $room, public ?ElementTone $tone, public string $made, public string $address)
    {
    }
}
