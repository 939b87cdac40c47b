<?php

declare(strict_types=1);

namespace AwakeShed\App\Belonging;

use Doctrine\ORM\Mapping as ORM;

/** For an entity: whose it is, told when it is first saved ({@see Belonging}) and asked with every query ({@see OneShop}). */
trait OfShop
{
    use KeyedByShop;

    #[ORM\Column(name: 'shop_id')]
    private int $shopId;
}
