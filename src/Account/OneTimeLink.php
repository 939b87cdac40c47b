<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\OfShop;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** An address that lets one person choose a password, once and for a while. Only its digest is stored. */
#[ORM\Entity]
class OneTimeLink implements BelongsToShop
{
    use OfShop;

    #[ORM\Id, ORM\Column(length: 64, options: ['fixed' => true, 'charset' => 'ascii', 'collation' => 'ascii_bin'])]
    private string $digest;

    #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
    private Member $member;

    #[ORM\Column(type: Types::DATETIME_IMMUTABLE)]
    private \DateTimeImmutable $goodUntil;

    public function __construct(#[\SensitiveParameter] string $token, Member $member, \DateTimeImmutable $goodUntil)
    {
        $this->digest = Token::digest($token);
        $this->member = $member;
        $this->goodUntil = $goodUntil;
    }

    public function getDigest(): string
    {
        return $this->digest;
    }

    public function getMember(): Member
    {
        return $this->member;
    }

    public function isGood(\DateTimeImmutable $now): bool
    {
        return $now < $this->goodUntil && $this->member->isActive();
    }
}
