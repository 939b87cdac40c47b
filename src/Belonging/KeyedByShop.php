<?php

declare(strict_types=1);

namespace AwakeShed\App\Belonging;

/**
 * {@see OfShop} for an entity of which each shop has one, or one for each of something: whose it is comes first in its key,
 * which the class itself has to declare: what a trait declares comes last.
 */
trait KeyedByShop
{
    public function belongTo(int $shop): void
    {
        $this->shopId ??= $shop;
    }

    public function shop(): int
    {
        return $this->shopId;
    }
}
