<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\KeyedByShop;
use Doctrine\ORM\Mapping as ORM;

/** How often a new plan was wanted, and for how many of these one was made: whoever makes one makes it for all who wait. */
#[ORM\Entity]
class PlanState implements BelongsToShop
{
    use KeyedByShop;

    #[ORM\Id, ORM\Column(name: 'shop_id')]
    private int $shopId;

    #[ORM\Column]
    private int $wanted = 0;

    #[ORM\Column]
    private int $made = 0;
}
