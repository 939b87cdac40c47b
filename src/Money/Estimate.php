<?php

declare(strict_types=1);

namespace AwakeShed\App\Money;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\OfShop;
use AwakeShed\App\Job\Job;
use AwakeShed\Core\Units\ImpossibleAmount;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** What an owner was told a job may come to, and what was said to it; said once, it stands, and the next is a new one. */
#[ORM\Entity(repositoryClass: EstimateRepository::class)]
class Estimate implements BelongsToShop
{
    use OfShop;

    public const LONGEST = 500;
    public const MOST = 100_000.0;

    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
    private Job $job;

    /** Dollars. */
    #[ORM\Column]
    private float $least;

    #[ORM\Column]
    private float $most;

    #[ORM\Column(length: 500)]
    private string $text;

    #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
    private Member $by;

    #[ORM\Column(type: Types::DATETIME_IMMUTABLE)]
    private \DateTimeImmutable $at;

    #[ORM\Column(enumType: OwnersWord::class, length: 20, nullable: true)]
    private ?OwnersWord $word = null;

    /** Dollars up to which the work goes on; none where it was declined. */
    #[ORM\Column(nullable: true)]
    private ?float $upTo = null;

    /** Who said so, and how: by telephone, at the counter. */
    #[ORM\Column(length: 120)]
    private string $saidBy = '';

    #[ORM\Column(type: Types::DATETIME_IMMUTABLE, nullable: true)]
    private ?\DateTimeImmutable $saidAt = null;

    /**
     * @param float $least dollars, 0 to 100 000
     * @param float $most  dollars, no less than the least
     *
     * @throws ImpossibleAmount when one is outside that
     */
    public function __construct(Job $job, float $least, float $most, string $text, Member $by, \DateTimeImmutable $at)
    {
        ImpossibleAmount::unlessBetween($least, 0.0, self::MOST, '$');
        ImpossibleAmount::unlessBetween($most, $least, self::MOST, '$');
        $this->job = $job;
        $this->least = $least;
        $this->most = $most;
        $this->text = mb_substr(trim($text), 0, self::LONGEST);
        $this->by = $by;
        $this->at = $at;
    }

    /**
     * @param float|null $cap dollars, where the word is to go no further
     *
     * @throws ImpossibleAmount when the cap is missing, or no sum
     */
    public function answered(OwnersWord $word, ?float $cap, string $saidBy, \DateTimeImmutable $at): void
    {
        if (OwnersWord::Capped === $word) {
            ImpossibleAmount::unlessBetween($cap ?? -1.0, 0.0, self::MOST, '$');
        }
        $this->word = $word;
        $this->upTo = match ($word) {
            OwnersWord::Approved => $this->most,
            OwnersWord::Capped => $cap,
            OwnersWord::Declined => null,
        };
        $this->saidBy = mb_substr(trim($saidBy), 0, 120);
        $this->saidAt = $at;
    }

    /** Its owner was erased: who answered is nobody any more. */
    public function forget(): void
    {
        $this->saidBy = '';
    }

    public function getId(): int
    {
        return $this->id ?? throw new \LogicException('An estimate has its number once it is saved.');
    }

    public function getJob(): Job
    {
        return $this->job;
    }

    public function getLeast(): float
    {
        return $this->least;
    }

    public function getMost(): float
    {
        return $this->most;
    }

    public function getText(): string
    {
        return $this->text;
    }

    public function getBy(): Member
    {
        return $this->by;
    }

    public function getAt(): \DateTimeImmutable
    {
        return $this->at;
    }

    public function getWord(): ?OwnersWord
    {
        return $this->word;
    }

    public function getUpTo(): ?float
    {
        return $this->upTo;
    }

    public function getSaidBy(): string
    {
        return $this->saidBy;
    }

    public function getSaidAt(): ?\DateTimeImmutable
    {
        return $this->saidAt;
    }
}
