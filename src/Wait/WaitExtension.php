<?php

declare(strict_types=1);

namespace AwakeShed\App\Wait;

use Psr\Clock\ClockInterface;
use Symfony\Contracts\Service\ResetInterface;
use Twig\Attribute\AsTwigFunction;

/** What waits, for the bar at the top of every page and the head of every job; asked once a page. */
final class WaitExtension implements ResetInterface
{
    private ?WaitingBar $bar = null;

    public function __construct(private readonly WaitLines $waits, private readonly ClockInterface $clock)
    {
    }

    #[AsTwigFunction('waiting')]
    public function waiting(): WaitingBar
    {
        return $this->bar ??= new WaitingBar($this->waits->underWay(), $this->clock->now());
    }

    public function reset(): void
    {
        $this->bar = null;
    }
}
