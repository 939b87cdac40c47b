<?php

declare(strict_types=1);

namespace AwakeShed\App\Once;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** How often a thing was written on: the row that whoever writes on it takes first ({@see Turns}). */
#[ORM\Entity]
class Turn
{
    #[ORM\Id, ORM\Column(length: 60, options: ['charset' => 'ascii', 'collation' => 'ascii_bin'])]
    private string $name;

    #[ORM\Column(type: Types::BIGINT, options: ['unsigned' => true])]
    private int $taken;
}
