<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use Doctrine\ORM\EntityManagerInterface;

/** Knows the shop, once it is open. */
final readonly class Shops
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    public function current(): ?Shop
    {
        return $this->entities->find(Shop::class, Shop::ONLY);
    }
}
