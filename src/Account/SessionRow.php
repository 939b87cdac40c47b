<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** A session where several web servers share a shed ({@see SessionTable}). */
#[ORM\Entity, ORM\Index(name: 'session_seen', columns: ['seen_at'])]
class SessionRow
{
    #[ORM\Id, ORM\Column(length: 250, options: ['charset' => 'ascii', 'collation' => 'ascii_bin'])]
    private string $id;

    /** @var resource|string */
    #[ORM\Column(type: Types::BLOB, length: 16_777_215)]
    private mixed $content;

    #[ORM\Column(type: Types::DATETIME_IMMUTABLE)]
    private \DateTimeImmutable $seenAt;
}
