<?php

declare(strict_types=1);

namespace AwakeShed\App\Once;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** That one process, on whatever machine, may do a thing alone until a moment; past it, the next who asks may. */
#[ORM\Entity]
class Lease
{
    #[ORM\Id, ORM\Column(length: 60, options: ['charset' => 'ascii', 'collation' => 'ascii_bin'])]
    private string $name;

    #[ORM\Column(length: 16, options: ['fixed' => true, 'charset' => 'ascii', 'collation' => 'ascii_bin'])]
    private string $holder;

    /** By the database's clock, UTC, to the microsecond. */
    #[ORM\Column(name: 'held_until', type: Types::DATETIME_IMMUTABLE, columnDefinition: 'DATETIME(6) NOT NULL')]
    private \DateTimeImmutable $heldUntil;
}
