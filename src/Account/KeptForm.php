<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\OfShop;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** What a person sent after their session had run out; one a person, the last. */
#[ORM\Entity]
class KeptForm implements BelongsToShop
{
    use OfShop;

    #[ORM\Id, ORM\Column]
    private int $memberId;

    #[ORM\Column(length: 500)]
    private string $path;

    /** @var list<array{name: string, value: string}> */
    #[ORM\Column]
    private array $fields;

    #[ORM\Column(type: Types::DATETIME_IMMUTABLE)]
    private \DateTimeImmutable $at;

    /** @param list<array{name: string, value: string}> $fields */
    public function __construct(int $memberId, string $path, array $fields, \DateTimeImmutable $at)
    {
        $this->memberId = $memberId;
        $this->path = $path;
        $this->fields = $fields;
        $this->at = $at;
    }

    public function getMemberId(): int
    {
        return $this->memberId;
    }

    public function getPath(): string
    {
        return $this->path;
    }

    /** @return list<array{name: string, value: string}> */
    public function getFields(): array
    {
        return $this->fields;
    }

    public function getAt(): \DateTimeImmutable
    {
        return $this->at;
    }
}
