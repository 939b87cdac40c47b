<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\OfShop;
use AwakeShed\App\Job\Job;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** What somebody says of a piece of work: begun, over, longer, not now; or when and by whom it is to be done. */
#[ORM\Entity(repositoryClass: MarkRepository::class), ORM\Table('plan_mark')]
#[ORM\Index(columns: ['done_at'])]
class Mark implements BelongsToShop
{
    use OfShop;

    public const LONGEST_REASON = 200;

    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    #[ORM\ManyToOne, ORM\JoinColumn(nullable: false, onDelete: 'CASCADE')]
    private Job $job;

    /** The piece of work. */
    #[ORM\Column(length: 30)]
    private string $kind;

    /** Who is to do it, or does it; null: whoever is free. */
    #[ORM\ManyToOne, ORM\JoinColumn(nullable: true)]
    private ?Member $hands = null;

    /** When it is to begin, whatever else; null: when it fits. */
    #[ORM\Column(type: Types::DATETIME_IMMUTABLE, nullable: true)]
    private ?\DateTimeImmutable $pinnedAt = null;

    #[ORM\Column(type: Types::DATETIME_IMMUTABLE, nullable: true)]
    private ?\DateTimeImmutable $startedAt = null;

    /** Minutes it was reckoned to take when it was begun. */
    #[ORM\Column(type: Types::SMALLINT)]
    private int $reckoned = 0;

    /** Minutes more than that, said while it was under way. */
    #[ORM\Column(type: Types::SMALLINT)]
    private int $longer = 0;

    #[ORM\Column(type: Types::DATETIME_IMMUTABLE, nullable: true)]
    private ?\DateTimeImmutable $doneAt = null;

    /** Until when it cannot be done, and why. */
    #[ORM\Column(type: Types::DATETIME_IMMUTABLE, nullable: true)]
    private ?\DateTimeImmutable $notBefore = null;

    #[ORM\Column(length: 200)]
    private string $reason = '';

    public function __construct(Job $job, string $kind)
    {
        $this->job = $job;
        $this->kind = $kind;
    }

    public function start(Member $by, int $reckoned, \DateTimeImmutable $at): void
    {
        $this->hands = $by;
        $this->reckoned = max(1, $reckoned);
        $this->startedAt ??= $at;
        $this->notBefore = null;
        $this->reason = '';
    }

    public function takesLonger(int $minutes): void
    {
        $this->longer = min(1440, $this->longer + $minutes);
    }

    public function cannot(\DateTimeImmutable $until, string $reason): void
    {
        $this->startedAt = $this->pinnedAt = null;
        $this->notBefore = $until;
        $this->reason = mb_substr(trim($reason), 0, self::LONGEST_REASON);
    }

    public function pin(?Member $hands, ?\DateTimeImmutable $at): void
    {
        $this->hands = $hands;
        $this->pinnedAt = $at;
    }

    public function end(\DateTimeImmutable $at): void
    {
        $this->doneAt ??= $at;
    }

    /** Minutes it still takes, five at least: who has begun is not done by the clock alone. */
    public function left(\DateTimeImmutable $now): int
    {
        $worked = null === $this->startedAt ? 0 : intdiv($now->getTimestamp() - $this->startedAt->getTimestamp(), 60);

        return max(5, $this->reckoned + $this->longer - $worked);
    }

    /** @return array{float, float}|null reckoned and taken minutes; null where nobody looked at the clock at both ends */
    public function timed(): ?array
    {
        $taken = null === $this->startedAt || null === $this->doneAt ? 0 : ($this->doneAt->getTimestamp() - $this->startedAt->getTimestamp()) / 60;

        return $taken > 0 && $this->reckoned > 0 ? [(float) $this->reckoned, (float) $taken] : null;
    }

    public function getId(): int
    {
        return $this->id ?? throw new \LogicException('A mark has its number once it is saved.');
    }

    public function getJob(): Job
    {
        return $this->job;
    }

    public function getKind(): string
    {
        return $this->kind;
    }

    public function getHands(): ?Member
    {
        return $this->hands;
    }

    public function getPinnedAt(): ?\DateTimeImmutable
    {
        return $this->pinnedAt;
    }

    public function getStartedAt(): ?\DateTimeImmutable
    {
        return $this->startedAt;
    }

    public function getNotBefore(): ?\DateTimeImmutable
    {
        return $this->notBefore;
    }

    public function getReason(): string
    {
        return $this->reason;
    }
}
