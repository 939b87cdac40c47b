<?php

declare(strict_types=1);

namespace AwakeShed\App\JobPage;

use AwakeShed\Core\Line\Element;
use AwakeShed\Core\Line\ElementTone;

/** One station of the rail. */
final readonly class RailStation
{
    /** @param string $made what was made of it last; empty where nobody touched it */
    public function __construct(public Element $element, public ElementTone $tone, public string $made, public string $address)
    {
    }
}
