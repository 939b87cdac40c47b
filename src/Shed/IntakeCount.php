<?php

declare(strict_types=1);

namespace AwakeShed\App\Shed;

use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\KeyedByShop;
use AwakeShed\Core\Evidence\MachineKind;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** How many machines of a kind were taken in, by the Monday of their week. Kept as {@see JobCount} is. */
#[ORM\Entity]
class IntakeCount implements BelongsToShop
{
    use KeyedByShop;

    #[ORM\Id, ORM\Column(name: 'shop_id')]
    private int $shopId;

    #[ORM\Id, ORM\Column(type: Types::DATE_IMMUTABLE)]
    private \DateTimeImmutable $week;

    #[ORM\Id, ORM\Column(enumType: MachineKind::class, length: 30)]
    private MachineKind $kind;

    #[ORM\Id, ORM\Column(type: Types::SMALLINT)]
    private int $part;

    #[ORM\Column]
    private int $machines;
}
