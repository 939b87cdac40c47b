<?php

declare(strict_types=1);

namespace AwakeShed\App\Money;

use AwakeShed\App\Belonging\CurrentShop;
use Doctrine\ORM\EntityManagerInterface;

/** Where the shop's prices are looked up. */
final readonly class PriceBook
{
    public function __construct(private EntityManagerInterface $entities, private CurrentShop $shop)
    {
    }

    /** What is set; what nobody has set is as the shed came, and not kept. */
    public function prices(): Prices
    {
        return $this->entities->find(Prices::class, $this->shop->id()) ?? new Prices();
    }
}
