<?php

declare(strict_types=1);

namespace AwakeShed\App\Oil;

use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\KeyedByShop;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/**
 * What stands of an oil and what was ever taken of it, mL. Kept by triggers of the tables of moves and entries, in parts as
 * {@see \AwakeShed\App\Shed\JobCount}.
 */
#[ORM\Entity]
class OilTotal implements BelongsToShop
{
    use KeyedByShop;

    #[ORM\Id, ORM\Column(name: 'shop_id')]
    private int $shopId;

    #[ORM\Id, ORM\Column]
    private int $oilId;

    #[ORM\Id, ORM\Column(type: Types::SMALLINT)]
    private int $part;

    #[ORM\Column(type: Types::DECIMAL, precision: 18, scale: 4)]
    private string $stands;

    #[ORM\Column(type: Types::DECIMAL, precision: 18, scale: 4)]
    private string $taken;
}
