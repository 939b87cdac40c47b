<?php

declare(strict_types=1);

namespace AwakeShed\App\Cluster;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Symfony\Component\Cache\Adapter\DoctrineDbalAdapter;

/** How often somebody tried something of late, where several web servers share a shed: a row of Symfony's {@see DoctrineDbalAdapter}. */
#[ORM\Entity, ORM\Table('cache_items')]
class LimitRow
{
    /** @var resource|string */
    #[ORM\Id, ORM\Column(name: 'item_id', type: Types::BINARY, length: 255)]
    private mixed $id;

    /** @var resource|string */
    #[ORM\Column(name: 'item_data', type: Types::BLOB, length: 16_777_215)]
    private mixed $data;

    #[ORM\Column(name: 'item_lifetime', nullable: true, options: ['unsigned' => true])]
    private ?int $lifetime;

    #[ORM\Column(name: 'item_time', options: ['unsigned' => true])]
    private int $time;
}
