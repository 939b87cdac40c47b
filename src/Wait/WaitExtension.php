<?php

declare(strict_types=1);

namespace AwakeShed\App\Wait;

use Psr\Clock\ClockInterface;
use Twig\Attribute\AsTwigFunction;

/** What waits, for the bar at the top of every page. */
final readonly class WaitExtension
{
    public function __construct(private WaitRepository $waits, private ClockInterface $clock)
    {
    }

    #[AsTwigFunction('waiting')]
    public function waiting(): WaitingBar
    {
        return new WaitingBar($this->waits->underWay(), $this->clock->now());
    }
}
