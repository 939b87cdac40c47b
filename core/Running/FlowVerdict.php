<?php

declare(strict_types=1);

namespace AwakeShed\Core\Running;

/** A measured fuel flow against what the engine needs (common practice). */
enum FlowVerdict: string
{
    case Starves = 'starves';

    /** Feeds it, with less in hand than a clean line has. */
    case Scant = 'scant';
    case Ample = 'ample';
}
