<?php

declare(strict_types=1);

namespace AwakeShed\App\Sheet;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Account\Token;
use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\OfShop;
use AwakeShed\App\Job\Job;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** A sheet that went out, kept as it was; by letter, or behind a link that ends. */
#[ORM\Entity(repositoryClass: SentSheetRepository::class), ORM\Table('sent_sheet')]
#[ORM\UniqueConstraint(columns: ['token_hash'])]
class SentSheet implements BelongsToShop
{
    use OfShop;

    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
    private Job $job;

    #[ORM\Column(enumType: SheetKind::class, length: 20)]
    private SheetKind $kind;

    /** Of what went out; {@see SheetCopy}. */
    #[ORM\Column(length: 64)]
    private string $sha256;

    #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
    private Member $by;

    #[ORM\Column(type: Types::DATETIME_IMMUTABLE)]
    private \DateTimeImmutable $at;

    /** Where the letter went; empty for a link that somebody passes on. */
    #[ORM\Column(length: 200)]
    private string $sentTo;

    /** Whether a server took the letter; null where none was sent. */
    #[ORM\Column(nullable: true)]
    private ?bool $isTaken = null;

    /** The link itself is in nobody's database. */
    #[ORM\Column(length: 64, nullable: true)]
    private ?string $tokenHash = null;

    #[ORM\Column(type: Types::DATETIME_IMMUTABLE, nullable: true)]
    private ?\DateTimeImmutable $endsAt = null;

    #[ORM\Column(type: Types::DATETIME_IMMUTABLE, nullable: true)]
    private ?\DateTimeImmutable $withdrawnAt = null;

    public function __construct(Job $job, SheetKind $kind, string $sha256, Member $by, \DateTimeImmutable $at, string $sentTo)
    {
        $this->job = $job;
        $this->kind = $kind;
        $this->sha256 = $sha256;
        $this->by = $by;
        $this->at = $at;
        $this->sentTo = $sentTo;
    }

    /** @return string the token of a link that opens it until that day */
    public function openUntil(\DateTimeImmutable $end): string
    {
        $token = Token::fresh();
        $this->tokenHash = Token::digest($token);
        $this->endsAt = $end;

        return $token;
    }

    public function wasTaken(bool $isTaken): void
    {
        $this->isTaken = $isTaken;
    }

    public function withdraw(\DateTimeImmutable $at): void
    {
        $this->withdrawnAt ??= $at;
    }

    public function hasLink(): bool
    {
        return null !== $this->tokenHash;
    }

    public function isOpen(\DateTimeImmutable $now): bool
    {
        return null === $this->withdrawnAt && null !== $this->endsAt && $now < $this->endsAt;
    }

    public function getId(): int
    {
        return $this->id ?? throw new \LogicException('A sheet has its number once it is saved.');
    }

    public function getJob(): Job
    {
        return $this->job;
    }

    public function getKind(): SheetKind
    {
        return $this->kind;
    }

    public function getSha256(): string
    {
        return $this->sha256;
    }

    public function getBy(): Member
    {
        return $this->by;
    }

    public function getAt(): \DateTimeImmutable
    {
        return $this->at;
    }

    public function getSentTo(): string
    {
        return $this->sentTo;
    }

    public function isTaken(): ?bool
    {
        return $this->isTaken;
    }

    public function getEndsAt(): ?\DateTimeImmutable
    {
        return $this->endsAt;
    }

    public function getWithdrawnAt(): ?\DateTimeImmutable
    {
        return $this->withdrawnAt;
    }
}
