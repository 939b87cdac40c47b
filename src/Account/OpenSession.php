<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\OfShop;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** One sign-in on one device, as its person and the owners see it; ended, it opens nothing any more. */
#[ORM\Entity(repositoryClass: OpenSessionRepository::class)]
#[ORM\Index(columns: ['member_id', 'ended_at'])]
class OpenSession implements BelongsToShop
{
    use OfShop;

    #[ORM\Id, ORM\Column(length: 32, options: ['fixed' => true, 'charset' => 'ascii', 'collation' => 'ascii_bin'])]
    private string $id;

    #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
    private Member $member;

    #[ORM\Column(type: Types::DATETIME_IMMUTABLE)]
    private \DateTimeImmutable $startedAt;

    #[ORM\Column(type: Types::DATETIME_IMMUTABLE)]
    private \DateTimeImmutable $seenAt;

    #[ORM\Column(type: Types::DATETIME_IMMUTABLE, nullable: true)]
    private ?\DateTimeImmutable $endedAt = null;

    /** The browser and system it came from, in a few words. */
    #[ORM\Column(length: 80)]
    private string $device;

    /** The second factor was shown, where the person has one. */
    #[ORM\Column]
    private bool $isProved;

    public function __construct(Member $member, string $device, \DateTimeImmutable $at)
    {
        $this->id = bin2hex(random_bytes(16));
        $this->member = $member;
        $this->device = mb_substr($device, 0, 80);
        $this->startedAt = $this->seenAt = $at;
        $this->isProved = !$member->secondFactor()->isOn();
    }

    public function getId(): string
    {
        return $this->id;
    }

    public function getMember(): Member
    {
        return $this->member;
    }

    public function prove(): void
    {
        $this->isProved = true;
    }

    public function isProved(): bool
    {
        return $this->isProved;
    }

    public function getDevice(): string
    {
        return $this->device;
    }

    public function getStartedAt(): \DateTimeImmutable
    {
        return $this->startedAt;
    }

    public function getSeenAt(): \DateTimeImmutable
    {
        return $this->seenAt;
    }

    public function getEndedAt(): ?\DateTimeImmutable
    {
        return $this->endedAt;
    }
}
