<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Account\Token;
use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\OfShop;
use Doctrine\ORM\Mapping as ORM;

/** The link to somebody's own work in their calendar; the link itself is in nobody's database. */
#[ORM\Entity]
class PlanFeed implements BelongsToShop
{
    use OfShop;

    #[ORM\Column(length: 64, unique: true)]
    private string $hash = '';

    public function __construct(#[ORM\Id, ORM\OneToOne, ORM\JoinColumn(nullable: false)] private Member $member)
    {
    }

    /** @return string the token of a new link; the one before opens nothing any more */
    public function renew(): string
    {
        $token = Token::fresh();
        $this->hash = Token::digest($token);

        return $token;
    }

    public function getMember(): Member
    {
        return $this->member;
    }

    public function getHash(): string
    {
        return $this->hash;
    }
}
