<?php

declare(strict_types=1);

namespace AwakeShed\App\Shelf;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\OfShop;
use AwakeShed\App\Job\Job;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** Parts that came to the shelf, were counted, or went off it, for which job and by whom. */
#[ORM\Entity, ORM\Table('shelf_move')]
class ShelfMove implements BelongsToShop
{
    use OfShop;

    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
    private ShelfPart $part;

    /** How many came; below nothing for what went. */
    #[ORM\Column(name: 'moved')]
    private int $by;

    #[ORM\ManyToOne]
    private ?Job $job;

    #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
    private Member $who;

    #[ORM\Column(type: Types::DATETIME_IMMUTABLE)]
    private \DateTimeImmutable $at;

    public function __construct(ShelfPart $part, int $by, ?Job $job, Member $who, \DateTimeImmutable $at)
    {
        $this->part = $part;
        $this->by = $by;
        $this->job = $job;
        $this->who = $who;
        $this->at = $at;
    }

    public function getId(): int
    {
        return $this->id ?? throw new \LogicException('A move has its number once it is saved.');
    }

    public function getPart(): ShelfPart
    {
        return $this->part;
    }

    public function getBy(): int
    {
        return $this->by;
    }

    public function getJob(): ?Job
    {
        return $this->job;
    }

    public function getWho(): Member
    {
        return $this->who;
    }

    public function getAt(): \DateTimeImmutable
    {
        return $this->at;
    }
}
