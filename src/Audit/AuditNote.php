<?php

declare(strict_types=1);

namespace AwakeShed\App\Audit;

use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\OfShop;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/**
 * One thing that was done to the shed itself, not to a machine: who, when, from where, and what it said before. Only
 * ever added; old ones go by a rule, {@see ForgetNotesCommand}.
 */
#[ORM\Entity]
#[ORM\Index(columns: ['at'])]
#[ORM\Index(columns: ['what', 'at'])]
class AuditNote implements BelongsToShop
{
    use OfShop;

    #[ORM\Id, ORM\GeneratedValue, ORM\Column(type: Types::BIGINT)]
    private ?int $id = null;

    #[ORM\Column(type: Types::DATETIME_IMMUTABLE)]
    private \DateTimeImmutable $at;

    /** Who did it; null where nobody was signed in: a refused sign-in, the command line. */
    #[ORM\Column(nullable: true)]
    private ?int $memberId;

    #[ORM\Column(enumType: Deed::class, length: 30)]
    private Deed $what;

    /** Whom or what it was done to, in a few words. */
    #[ORM\Column(length: 120)]
    private string $subject;

    /** @var array<string, mixed> */
    #[ORM\Column(name: 'said_before')]
    private array $before;

    /** @var array<string, mixed> */
    #[ORM\Column(name: 'says_now')]
    private array $after;

    /** The network address it came from; empty for the command line. */
    #[ORM\Column(length: 45)]
    private string $address;

    public function getId(): ?int
    {
        return $this->id;
    }

    public function getAt(): \DateTimeImmutable
    {
        return $this->at;
    }

    public function getMemberId(): ?int
    {
        return $this->memberId;
    }

    public function getWhat(): Deed
    {
        return $this->what;
    }

    public function getSubject(): string
    {
        return $this->subject;
    }

    /** @return array<string, mixed> */
    public function getBefore(): array
    {
        return $this->before;
    }

    /** @return array<string, mixed> */
    public function getAfter(): array
    {
        return $this->after;
    }

    public function getAddress(): string
    {
        return $this->address;
    }
}
