<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use AwakeShed\App\Reader\UnitSystem;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** A shop with its people and machines; one in most installations, none as long as the shed was not opened. */
#[ORM\Entity]
class Shop
{
    /** The number of the first. */
    public const FIRST = 1;
    public const LONGEST = 120;

    #[ORM\Id, ORM\Column]
    private int $id;

    #[ORM\Column(length: 120)]
    private string $name;

    #[ORM\Column(length: 120)]
    private string $place;

    /** What new people read and type in until they choose. */
    #[ORM\Column(enumType: UnitSystem::class, length: 20)]
    private UnitSystem $units;

    /** Whether what the stand-ins for weather, gauge and sound say may be used as if it were so. */
    #[ORM\Column]
    private bool $usesStandIns;

    /** Of the link to the shop's calendar, which itself is in nobody's database; null where there is none. */
    #[ORM\Column(length: 64, nullable: true)]
    private ?string $feedHash = null;

    #[ORM\Column]
    private bool $isDemo;

    #[ORM\Column(type: Types::DATETIME_IMMUTABLE)]
    private \DateTimeImmutable $openedAt;

    public function __construct(string $name, string $place, UnitSystem $units, bool $isDemo, \DateTimeImmutable $openedAt, int $id = self::FIRST)
    {
        $this->id = $id;
        $this->call($name, $place, $units);
        // In a shed of one's own nothing made up is taken for a fact before somebody says so.
        $this->usesStandIns = $isDemo;
        $this->isDemo = $isDemo;
        $this->openedAt = $openedAt;
    }

    public function call(string $name, string $place, UnitSystem $units): void
    {
        $this->name = mb_substr(trim($name), 0, self::LONGEST);
        $this->place = mb_substr(trim($place), 0, self::LONGEST);
        $this->units = $units;
    }

    public function useStandIns(bool $usesStandIns): void
    {
        $this->usesStandIns = $usesStandIns;
    }

    public function usesStandIns(): bool
    {
        return $this->usesStandIns;
    }

    /** @return string the token of a new link; the one before opens nothing any more */
    public function newFeed(): string
    {
        $token = Token::fresh();
        $this->feedHash = Token::digest($token);

        return $token;
    }

    public function endFeed(): null
    {
        return $this->feedHash = null;
    }

    public function hasFeed(): bool
    {
        return null !== $this->feedHash;
    }

    public function getId(): int
    {
        return $this->id;
    }

    public function getName(): string
    {
        return $this->name;
    }

    public function getPlace(): string
    {
        return $this->place;
    }

    public function getUnits(): UnitSystem
    {
        return $this->units;
    }

    public function isDemo(): bool
    {
        return $this->isDemo;
    }

    public function getOpenedAt(): \DateTimeImmutable
    {
        return $this->openedAt;
    }
}
