<?php

declare(strict_types=1);

namespace AwakeShed\Core\Service;

/** One item of service on one machine: whether it is due, when it was done last and when it is due again. */
final readonly class ServiceItem
{
    public function __construct(public string $step, public Due $due, public ?\DateTimeImmutable $last, public ?\DateTimeImmutable $next)
    {
    }
}
