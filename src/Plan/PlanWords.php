<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use AwakeShed\App\Words\Catalogue;
use Twig\Attribute\AsTwigFilter;

/** What pieces of work, and what they take, are called. */
final readonly class PlanWords
{
    public function __construct(private Catalogue $catalogue)
    {
    }

    #[AsTwigFilter('piece')]
    public function piece(string $kind): string
    {
        $key = str_starts_with($kind, 'held-') ? 'piece.held' : 'piece.'.$kind;

        return $this->catalogue->say($key, ['%piece%' => str_starts_with($kind, 'held-') ? $this->piece(substr($kind, 5)) : ''], 'plan');
    }

    #[AsTwigFilter('place')]
    public function place(string $place): string
    {
        return $this->catalogue->say('place.'.$place, [], 'plan');
    }
}
