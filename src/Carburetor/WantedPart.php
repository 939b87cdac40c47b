<?php

declare(strict_types=1);

namespace AwakeShed\App\Carburetor;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\OfShop;
use AwakeShed\App\Job\Job;
use AwakeShed\Core\Units\ImpossibleAmount;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** A part a job cannot go on without, or is to be renewed with. */
#[ORM\Entity(repositoryClass: WantedPartRepository::class)]
#[ORM\Index(columns: ['state'])]
class WantedPart implements BelongsToShop
{
    use OfShop;

    public const LONGEST_NAME = 120;
    public const MOST = 99;

    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
    private Job $job;

    #[ORM\Column(length: 120)]
    private string $name;

    #[ORM\Column]
    private int $quantity;

    #[ORM\Column(enumType: WantedState::class, length: 20)]
    private WantedState $state = WantedState::ToOrder;

    /** The day it is promised for by whoever sends it; null where nobody said. */
    #[ORM\Column(type: Types::DATE_IMMUTABLE, nullable: true)]
    private ?\DateTimeImmutable $expectedOn = null;

    #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
    private Member $by;

    #[ORM\Column(type: Types::DATETIME_IMMUTABLE)]
    private \DateTimeImmutable $changedAt;

    /**
     * @param int $quantity 1 to 99
     *
     * @throws ImpossibleAmount outside that
     */
    public function __construct(Job $job, string $name, int $quantity, Member $by, \DateTimeImmutable $at)
    {
        ImpossibleAmount::unlessBetween($quantity, 1, self::MOST, '');
        $this->job = $job;
        $this->name = mb_substr(trim($name), 0, self::LONGEST_NAME);
        $this->quantity = $quantity;
        $this->by = $by;
        $this->changedAt = $at;
    }

    public function becomes(WantedState $state, \DateTimeImmutable $at): void
    {
        $this->state = $state;
        $this->changedAt = $at;
    }

    public function expect(?\DateTimeImmutable $on, \DateTimeImmutable $at): void
    {
        $this->expectedOn = $on;
        $this->changedAt = $at;
    }

    public function getExpectedOn(): ?\DateTimeImmutable
    {
        return $this->expectedOn;
    }

    public function getId(): int
    {
        return $this->id ?? throw new \LogicException('A wanted part has its number once it is saved.');
    }

    public function getJob(): Job
    {
        return $this->job;
    }

    public function getName(): string
    {
        return $this->name;
    }

    public function getQuantity(): int
    {
        return $this->quantity;
    }

    public function getState(): WantedState
    {
        return $this->state;
    }

    public function getBy(): Member
    {
        return $this->by;
    }

    public function getChangedAt(): \DateTimeImmutable
    {
        return $this->changedAt;
    }
}
