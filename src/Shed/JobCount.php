<?php

declare(strict_types=1);

namespace AwakeShed\App\Shed;

use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\KeyedByShop;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Progress\Progress;
use Doctrine\ORM\Mapping as ORM;

/**
 * How many machines of a kind stand somewhere. Kept by triggers of the table of jobs, so that whatever writes there is
 * counted; in eight parts, by the last digits of the job, so that two benches seldom wait for each other's.
 */
#[ORM\Entity]
class JobCount implements BelongsToShop
{
    use KeyedByShop;

    #[ORM\Id, ORM\Column(name: 'shop_id')]
    private int $shopId;

    #[ORM\Id, ORM\Column]
    private bool $gone;

    #[ORM\Id, ORM\Column(enumType: MachineKind::class, length: 30)]
    private MachineKind $kind;

    #[ORM\Id, ORM\Column(enumType: Progress::class, length: 20)]
    private Progress $stand;

    #[ORM\Id, ORM\Column(type: 'smallint')]
    private int $part;

    #[ORM\Column]
    private int $machines;
}
