<?php

declare(strict_types=1);

namespace AwakeShed\App\Carburetor;

use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\KeyedByShop;
use Doctrine\ORM\Mapping as ORM;

/** The driver or socket a part of a carburetor type took the last time. */
#[ORM\Entity]
class ToolSize implements BelongsToShop
{
    use KeyedByShop;

    #[ORM\Id, ORM\Column(name: 'shop_id')]
    private int $shopId;

    #[ORM\Id, ORM\Column(length: 30)]
    private string $type;

    #[ORM\Id, ORM\Column(length: 40)]
    private string $part;

    #[ORM\Column(length: 80)]
    private string $size;

    public function getPart(): string
    {
        return $this->part;
    }

    public function getSize(): string
    {
        return $this->size;
    }
}
