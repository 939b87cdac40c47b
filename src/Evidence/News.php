<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** A job's stamp where several web servers share a shed: each of them copies it to where its pages look ({@see NewsStamps}). */
#[ORM\Entity, ORM\Index(name: 'news_at', columns: ['at'])]
class News
{
    #[ORM\Id, ORM\Column(length: 40, options: ['charset' => 'ascii', 'collation' => 'ascii_bin'])]
    private string $address;

    #[ORM\Column(length: 40, options: ['charset' => 'ascii', 'collation' => 'ascii_bin'])]
    private string $word;

    /** By the clock of the database that wrote it, UTC. */
    #[ORM\Column(type: Types::DATETIME_IMMUTABLE)]
    private \DateTimeImmutable $at;
}
