<?php

declare(strict_types=1);

namespace AwakeShed\App\Sheet;

use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\OfShop;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** The bytes of a sheet as they went out; by their digest, so that the same sheet is kept once and a changed one is found out. */
#[ORM\Entity, ORM\Table('sheet_copy')]
class SheetCopy implements BelongsToShop
{
    use OfShop;

    #[ORM\Id, ORM\Column(length: 64)]
    private string $sha256;

    /** @var resource|string */
    #[ORM\Column(type: Types::BLOB, length: 16_777_215)]
    private mixed $bytes;

    public function __construct(string $bytes)
    {
        $this->sha256 = self::digest($bytes);
        $this->bytes = $bytes;
    }

    public static function digest(string $bytes): string
    {
        return hash('sha256', $bytes);
    }

    public function getSha256(): string
    {
        return $this->sha256;
    }

    /** @throws \RuntimeException when it is not what went out */
    public function bytes(): string
    {
        $bytes = \is_resource($this->bytes) ? (string) stream_get_contents($this->bytes, offset: 0) : (string) $this->bytes;
        if (self::digest($bytes) !== $this->sha256) {
            throw new \RuntimeException('A kept sheet is not what went out any more.');
        }

        return $bytes;
    }
}
