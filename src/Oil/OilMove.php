<?php

declare(strict_types=1);

namespace AwakeShed\App\Oil;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\OfShop;
use AwakeShed\App\Evidence\NewEntry;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeUnit;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** Oil that came onto the shelf, or was taken from it at a step of a job; the latter counts as long as that entry does. */
#[ORM\Entity]
class OilMove implements BelongsToShop
{
    use OfShop;

    public const LEAST_BOUGHT_ML = 100.0;

    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
    private Oil $oil;

    /** Onto the shelf; what is taken is negative. */
    #[ORM\Column]
    private float $millilitres;

    #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
    private Member $by;

    #[ORM\Column(type: Types::DATETIME_IMMUTABLE)]
    private \DateTimeImmutable $at;

    #[ORM\ManyToOne]
    private ?NewEntry $entry;

    private function __construct(Oil $oil, float $millilitres, Member $by, \DateTimeImmutable $at, ?NewEntry $entry)
    {
        $this->oil = $oil;
        $this->millilitres = $millilitres;
        $this->by = $by;
        $this->at = $at;
        $this->entry = $entry;
    }

    /** @throws \AwakeShed\Core\Units\ImpossibleAmount unless 0.1 to 250 L */
    public static function bought(Oil $oil, Volume $volume, Member $by, \DateTimeImmutable $at): self
    {
        self::bounds(self::LEAST_BOUGHT_ML)->demand($volume);

        return new self($oil, $volume->inMillilitres(), $by, $at, null);
    }

    /**
     * What was counted on the shelf where that differs from what the book says.
     *
     * @throws \AwakeShed\Core\Units\ImpossibleAmount unless 0 to 250 L
     */
    public static function counted(Oil $oil, Volume $onShelf, Volume $inBook, Member $by, \DateTimeImmutable $at): self
    {
        self::bounds(0.0)->demand($onShelf);

        return new self($oil, $onShelf->inMillilitres() - $inBook->inMillilitres(), $by, $at, null);
    }

    public static function taken(Oil $oil, Volume $volume, Member $by, \DateTimeImmutable $at, NewEntry $entry): self
    {
        return new self($oil, -$volume->inMillilitres(), $by, $at, $entry);
    }

    /** @param float $least in millilitres */
    public static function bounds(float $least): Interval
    {
        return new Interval($least, 250_000.0, VolumeUnit::Millilitre);
    }
}
