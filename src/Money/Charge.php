<?php

declare(strict_types=1);

namespace AwakeShed\App\Money;

use AwakeShed\App\Account\ByMember;
use AwakeShed\App\Account\Member;
use AwakeShed\App\Account\RecordedBy;
use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\OfShop;
use AwakeShed\App\Job\Job;
use AwakeShed\Core\Money\BillLine;
use AwakeShed\Core\Money\LineKind;
use AwakeShed\Core\Units\Money;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** Something a job costs that nobody can work out: a part's price, hours by the clock. Taken back, never deleted. */
#[ORM\Entity(repositoryClass: ChargeRepository::class)]
class Charge implements BelongsToShop, RecordedBy
{
    use ByMember;
    use OfShop;

    public const LONGEST = 120;

    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
    private Job $job;

    #[ORM\Column(enumType: LineKind::class, length: 20)]
    private LineKind $kind;

    #[ORM\Column(length: 120)]
    private string $text;

    #[ORM\Column]
    private float $quantity;

    /** Dollars for one. */
    #[ORM\Column(name: 'unit_price')]
    private float $each;

    #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
    private Member $by;

    #[ORM\Column(type: Types::DATETIME_IMMUTABLE)]
    private \DateTimeImmutable $at;

    #[ORM\Column(type: Types::DATETIME_IMMUTABLE, nullable: true)]
    private ?\DateTimeImmutable $takenBackAt = null;

    public function __construct(Job $job, BillLine $line, Member $by, \DateTimeImmutable $at)
    {
        $this->job = $job;
        $this->kind = $line->kind;
        $this->text = mb_substr(trim($line->text), 0, self::LONGEST);
        $this->quantity = $line->quantity;
        $this->each = $line->each->inDollars();
        $this->by = $by;
        $this->at = $at;
    }

    public function takeBack(\DateTimeImmutable $at): void
    {
        $this->takenBackAt ??= $at;
    }

    public function line(): BillLine
    {
        return new BillLine($this->kind, $this->text, $this->quantity, Money::dollars($this->each));
    }

    public function getId(): int
    {
        return $this->id ?? throw new \LogicException('A charge has its number once it is saved.');
    }

    public function getJob(): Job
    {
        return $this->job;
    }

    public function getAt(): \DateTimeImmutable
    {
        return $this->at;
    }
}
