<?php

declare(strict_types=1);

namespace AwakeShed\App\Once;

use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\OfShop;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** A request key whose change was made; inserted in the change's own transaction. */
#[ORM\Entity]
#[ORM\Index(columns: ['used_at'])]
class UsedKey implements BelongsToShop
{
    use OfShop;

    #[ORM\Id, ORM\Column(length: 36, options: ['fixed' => true, 'charset' => 'ascii', 'collation' => 'ascii_bin'])]
    private string $requestKey;

    #[ORM\Column]
    private int $memberId;

    /** SHA-256 of the route and of what was sent with it; empty for what nobody sent. */
    #[ORM\Column(length: 64, options: ['charset' => 'ascii', 'collation' => 'ascii_bin'])]
    private string $meant;

    #[ORM\Column(type: Types::DATETIME_IMMUTABLE)]
    private \DateTimeImmutable $usedAt;

    /** The number of what the change made, where somebody would want to be led to it. */
    #[ORM\Column(nullable: true)]
    private ?int $made = null;

    public function __construct(RequestKey $key, int $memberId, \DateTimeImmutable $usedAt)
    {
        $this->requestKey = $key->value;
        $this->memberId = $memberId;
        $this->meant = $key->meant;
        $this->usedAt = $usedAt;
    }

    /** Whether a key sent by somebody is this one sent again, and not another change under its name. */
    public function isFor(RequestKey $key, int $memberId): bool
    {
        return $key->value === $this->requestKey && $key->meant === $this->meant && $memberId === $this->memberId;
    }

    public function getMade(): ?int
    {
        return $this->made;
    }

    public function getUsedAt(): \DateTimeImmutable
    {
        return $this->usedAt;
    }
}
