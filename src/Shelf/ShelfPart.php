<?php

declare(strict_types=1);

namespace AwakeShed\App\Shelf;

use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\OfShop;
use AwakeShed\Core\Units\ImpossibleAmount;
use Doctrine\ORM\Mapping as ORM;

/** A part that lies on the shelf: where, how many, what it fits. Its count changes by {@see ShelfMove}s only. */
#[ORM\Entity, ORM\Table('shelf_part')]
#[ORM\Index(columns: ['name'])]
class ShelfPart implements BelongsToShop
{
    use OfShop;

    public const LONGEST = 120;
    public const MOST = 999;
    public const MOST_DOLLARS = 100_000.0;

    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    #[ORM\Column(length: 120)]
    private string $name;

    #[ORM\Column(length: 120)]
    private string $number = '';

    #[ORM\Column(name: 'part_condition', enumType: PartCondition::class, length: 20)]
    private PartCondition $condition;

    #[ORM\Column(length: 120)]
    private string $place = '';

    /** Makers and models, as people here call them. */
    #[ORM\Column(length: 120)]
    private string $fits = '';

    /** Off which machine, where it was salvaged. */
    #[ORM\Column(length: 120)]
    private string $comesOff = '';

    #[ORM\Column(name: 'on_shelf')]
    private int $count = 0;

    /** Below this it is to be ordered; nothing for what comes by chance. */
    #[ORM\Column(name: 'order_below')]
    private int $least = 0;

    /** Dollars for one, as it is charged. */
    #[ORM\Column]
    private float $price = 0.0;

    public function __construct(string $name, PartCondition $condition)
    {
        $this->name = mb_substr(trim($name), 0, self::LONGEST);
        $this->condition = $condition;
    }

    /**
     * @param int   $least 0 to 999
     * @param float $price dollars, 0 to 100 000
     *
     * @throws ImpossibleAmount outside that
     */
    public function describe(PartCondition $condition, string $number, string $place, string $fits, string $comesOff, int $least, float $price): void
    {
        ImpossibleAmount::unlessBetween($least, 0, self::MOST, '');
        ImpossibleAmount::unlessBetween($price, 0.0, self::MOST_DOLLARS, '$');
        $this->condition = $condition;
        $this->number = mb_substr(trim($number), 0, self::LONGEST);
        $this->place = mb_substr(trim($place), 0, self::LONGEST);
        $this->fits = mb_substr(trim($fits), 0, self::LONGEST);
        $this->comesOff = mb_substr(trim($comesOff), 0, self::LONGEST);
        $this->least = $least;
        $this->price = $price;
    }

    /**
     * @param int $by how many come, or go where it is below nothing
     *
     * @throws ImpossibleAmount when more would go than lie there
     */
    public function move(int $by): void
    {
        ImpossibleAmount::unlessBetween($this->count + $by, 0, self::MOST, '');
        $this->count += $by;
    }

    public function isToOrder(): bool
    {
        return $this->count < $this->least;
    }

    public function getId(): int
    {
        return $this->id ?? throw new \LogicException('A part has its number once it is saved.');
    }

    public function getName(): string
    {
        return $this->name;
    }

    public function getNumber(): string
    {
        return $this->number;
    }

    public function getCondition(): PartCondition
    {
        return $this->condition;
    }

    public function getPlace(): string
    {
        return $this->place;
    }

    public function getFits(): string
    {
        return $this->fits;
    }

    public function getComesOff(): string
    {
        return $this->comesOff;
    }

    public function getCount(): int
    {
        return $this->count;
    }

    public function getLeast(): int
    {
        return $this->least;
    }

    public function getPrice(): float
    {
        return $this->price;
    }
}
