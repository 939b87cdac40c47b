<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use Doctrine\ORM\EntityManagerInterface;
use Twig\Attribute\AsTwigFunction;

/** Knows the shop, once it is open. */
final readonly class Shops
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    #[AsTwigFunction('uses_stand_ins')]
    public function usesStandIns(): bool
    {
        return true === $this->current()?->usesStandIns();
    }

    public function current(): ?Shop
    {
        return $this->entities->find(Shop::class, Shop::ONLY);
    }
}
