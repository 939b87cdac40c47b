<?php

declare(strict_types=1);

namespace AwakeShed\App\Waste;

use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\KeyedByShop;
use AwakeShed\Core\Fuel\WasteStream;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/**
 * What was ever poured away of a stream, mL. Kept by triggers of the tables of portions and entries, in parts as
 * {@see \AwakeShed\App\Shed\JobCount}.
 */
#[ORM\Entity]
class WasteTotal implements BelongsToShop
{
    use KeyedByShop;

    #[ORM\Id, ORM\Column(name: 'shop_id')]
    private int $shopId;

    #[ORM\Id, ORM\Column(enumType: WasteStream::class, length: 30)]
    private WasteStream $stream;

    #[ORM\Id, ORM\Column(type: Types::SMALLINT)]
    private int $part;

    #[ORM\Column(type: Types::DECIMAL, precision: 18, scale: 4)]
    private string $millilitres;
}
