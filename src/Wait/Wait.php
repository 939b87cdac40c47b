<?php

declare(strict_types=1);

namespace AwakeShed\App\Wait;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Account\RecordedBy;
use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\OfShop;
use AwakeShed\App\Evidence\NewEntry;
use AwakeShed\App\Job\Job;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** Something of a job that needs time and no hands; whoever comes by sees when it is ready. */
#[ORM\Entity(repositoryClass: WaitRepository::class)]
#[ORM\Index(name: 'wait_of_shop', columns: ['shop_id', 'ended_at', 'ready_at'])]
class Wait implements BelongsToShop, RecordedBy
{
    use OfShop;

    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
    private Job $job;

    #[ORM\Column(enumType: WaitKind::class, length: 20)]
    private WaitKind $kind;

    #[ORM\Column(type: Types::DATETIME_IMMUTABLE)]
    private \DateTimeImmutable $startedAt;

    #[ORM\Column(type: Types::DATETIME_IMMUTABLE)]
    private \DateTimeImmutable $readyAt;

    #[ORM\Column(type: Types::DATETIME_IMMUTABLE, nullable: true)]
    private ?\DateTimeImmutable $endedAt = null;

    #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
    private Member $startedBy;

    /** The step of the job it belongs to; taken back with it. */
    #[ORM\ManyToOne]
    private ?NewEntry $entry;

    /** @throws \InvalidArgumentException when it would be ready before it starts */
    public function __construct(Job $job, WaitKind $kind, Member $startedBy, \DateTimeImmutable $startedAt, \DateTimeImmutable $readyAt, ?NewEntry $entry = null)
    {
        if ($readyAt < $startedAt) {
            throw new \InvalidArgumentException('A wait ends after it starts.');
        }
        $this->job = $job;
        $this->kind = $kind;
        $this->startedBy = $startedBy;
        $this->startedAt = $startedAt;
        $this->readyAt = $readyAt;
        $this->entry = $entry;
    }

    /** It takes otherwise long, counted from its start. */
    public function take(int $minutes): void
    {
        $this->readyAt = $this->startedAt->modify(\sprintf('+%d minutes', $minutes));
    }

    public function minutes(): int
    {
        return intdiv($this->readyAt->getTimestamp() - $this->startedAt->getTimestamp(), 60);
    }

    /** Somebody has come back to it; a second time changes nothing. */
    public function end(\DateTimeImmutable $at): void
    {
        $this->endedAt ??= $at;
    }

    public function isOver(\DateTimeImmutable $now): bool
    {
        return $now >= $this->readyAt;
    }

    public function getId(): int
    {
        return $this->id ?? throw new \LogicException('A wait has its number once it is saved.');
    }

    public function getJob(): Job
    {
        return $this->job;
    }

    public function getKind(): WaitKind
    {
        return $this->kind;
    }

    public function getStartedAt(): \DateTimeImmutable
    {
        return $this->startedAt;
    }

    public function getReadyAt(): \DateTimeImmutable
    {
        return $this->readyAt;
    }

    public function getEndedAt(): ?\DateTimeImmutable
    {
        return $this->endedAt;
    }

    public function madeBy(): string
    {
        return $this->startedBy->getUserIdentifier();
    }
}
