<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\OfShop;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** Days on which somebody, or the whole shop, is not there: a holiday, a morning at the dentist's. */
#[ORM\Entity(repositoryClass: AbsenceRepository::class)]
#[ORM\Index(columns: ['last_day'])]
class Absence implements BelongsToShop
{
    use OfShop;

    public const LONGEST_NOTE = 120;
    private const NOON = 720;
    private const DAY = 1440;

    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    /** Null: the shop is shut. */
    #[ORM\ManyToOne]
    private ?Member $member;

    #[ORM\Column(type: Types::DATE_IMMUTABLE)]
    private \DateTimeImmutable $firstDay;

    #[ORM\Column(type: Types::DATE_IMMUTABLE)]
    private \DateTimeImmutable $lastDay;

    #[ORM\Column(enumType: PartOfDay::class, length: 20)]
    private PartOfDay $part;

    #[ORM\Column(length: 120)]
    private string $note;

    public function __construct(?Member $member, \DateTimeImmutable $firstDay, \DateTimeImmutable $lastDay, PartOfDay $part, string $note)
    {
        $this->member = $member;
        $this->firstDay = $firstDay;
        $this->lastDay = max($firstDay, $lastDay);
        $this->part = $part;
        $this->note = mb_substr(trim($note), 0, self::LONGEST_NOTE);
    }

    public function concerns(Member $member): bool
    {
        return null === $this->member || $this->member->getId() === $member->getId();
    }

    /** @return array{int, int}|null minutes of a day that are away; null where none are */
    public function away(\DateTimeImmutable $day): ?array
    {
        if ($day->format('Y-m-d') < $this->firstDay->format('Y-m-d') || $day->format('Y-m-d') > $this->lastDay->format('Y-m-d')) {
            return null;
        }

        return match ($this->part) {
            PartOfDay::Whole => [0, self::DAY],
            PartOfDay::Morning => [0, self::NOON],
            PartOfDay::Afternoon => [self::NOON, self::DAY],
        };
    }

    public function getId(): int
    {
        return $this->id ?? throw new \LogicException('An absence has its number once it is saved.');
    }

    public function getMember(): ?Member
    {
        return $this->member;
    }

    public function getFirstDay(): \DateTimeImmutable
    {
        return $this->firstDay;
    }

    public function getLastDay(): \DateTimeImmutable
    {
        return $this->lastDay;
    }

    public function getPart(): PartOfDay
    {
        return $this->part;
    }

    public function getNote(): string
    {
        return $this->note;
    }
}
