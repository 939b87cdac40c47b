<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use Twig\Attribute\AsTwigFunction;

/** What the plan says elsewhere: when one more machine would be ready. */
final readonly class PlanExtension
{
    public function __construct(private Offers $offers)
    {
    }

    /** @return array{half: \DateTimeImmutable, most: \DateTimeImmutable, nearly: \DateTimeImmutable}|null */
    #[AsTwigFunction('ready_if_taken_in')]
    public function readyIfTakenIn(): ?array
    {
        return $this->offers->last();
    }
}
