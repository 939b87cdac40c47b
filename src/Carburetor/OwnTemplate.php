<?php

declare(strict_types=1);

namespace AwakeShed\App\Carburetor;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\OfShop;
use AwakeShed\Core\Carburetor\RemovalTemplate;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/**
 * A template of the shop's own: a carburetor type with the parts in the order they came off once.
 *
 * @phpstan-import-type OrderArray from RemovalTemplate
 */
#[ORM\Entity, ORM\Table('own_order')]
class OwnTemplate implements BelongsToShop
{
    use OfShop;

    public const LONGEST_NAME = 60;

    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    #[ORM\Column(length: 60)]
    private string $name;

    #[ORM\Column(length: 30)]
    private string $type;

    /** @var OrderArray */
    #[ORM\Column]
    private array $parts;

    #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
    private Member $by;

    #[ORM\Column(type: Types::DATETIME_IMMUTABLE)]
    private \DateTimeImmutable $at;

    public function __construct(string $name, string $type, RemovalTemplate $order, Member $by, \DateTimeImmutable $at)
    {
        $this->name = mb_substr(trim($name), 0, self::LONGEST_NAME);
        $this->type = $type;
        $this->parts = $order->toArray();
        $this->by = $by;
        $this->at = $at;
    }

    public function getId(): int
    {
        return $this->id ?? throw new \LogicException('A template has its number once it is saved.');
    }

    public function getName(): string
    {
        return $this->name;
    }

    public function getType(): string
    {
        return $this->type;
    }

    public function order(): RemovalTemplate
    {
        return RemovalTemplate::fromArray($this->parts);
    }

    public function getBy(): Member
    {
        return $this->by;
    }

    public function getAt(): \DateTimeImmutable
    {
        return $this->at;
    }
}
