<?php

declare(strict_types=1);

namespace AwakeShed\App\Waste;

use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\OfShop;
use AwakeShed\Core\Fuel\WasteStream;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeUnit;
use Doctrine\ORM\Mapping as ORM;

/** A named can of the shed for one stream of waste; emptied at the collection point, it starts anew. */
#[ORM\Entity(repositoryClass: WasteCanRepository::class)]
class WasteCan implements BelongsToShop
{
    use OfShop;

    public const LONGEST_NAME = 80;

    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    #[ORM\Column(length: 80)]
    private string $name;

    #[ORM\Column(enumType: WasteStream::class, length: 30)]
    private WasteStream $stream;

    #[ORM\Column]
    private float $capacityMl;

    #[ORM\Column(nullable: true)]
    private ?\DateTimeImmutable $emptiedAt = null;

    /** @throws \AwakeShed\Core\Units\ImpossibleAmount unless 0.5 to 250 L */
    public function __construct(string $name, WasteStream $stream, Volume $capacity)
    {
        self::bounds()->demand($capacity);
        $this->name = mb_substr(trim($name), 0, self::LONGEST_NAME);
        $this->stream = $stream;
        $this->capacityMl = $capacity->inMillilitres();
    }

    public static function bounds(): Interval
    {
        return new Interval(500.0, 250_000.0, VolumeUnit::Millilitre);
    }

    /** Taken to the collection point. */
    public function empty(\DateTimeImmutable $at): void
    {
        $this->emptiedAt = $at;
    }

    public function getId(): int
    {
        return $this->id ?? throw new \LogicException('A can has its number once it is saved.');
    }

    public function getName(): string
    {
        return $this->name;
    }

    public function getStream(): WasteStream
    {
        return $this->stream;
    }

    public function getCapacity(): Volume
    {
        return Volume::millilitres($this->capacityMl);
    }

    public function getEmptiedAt(): ?\DateTimeImmutable
    {
        return $this->emptiedAt;
    }
}
