<?php

declare(strict_types=1);

namespace AwakeShed\App\Oil;

use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\OfShop;
use Doctrine\ORM\Mapping as ORM;

/** A kind of oil the shed keeps, as it names it. */
#[ORM\Entity]
#[ORM\UniqueConstraint(name: 'oil_name', columns: ['shop_id', 'name'])]
class Oil implements BelongsToShop
{
    use OfShop;

    public const LONGEST_NAME = 60;

    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    #[ORM\Column(length: 60)]
    private string $name;

    public function __construct(string $name)
    {
        $this->name = mb_substr(trim($name), 0, self::LONGEST_NAME);
    }

    public function getId(): int
    {
        return $this->id ?? throw new \LogicException('An oil has its number once it is saved.');
    }

    public function getName(): string
    {
        return $this->name;
    }
}
