<?php

declare(strict_types=1);

namespace AwakeShed\App\Diagnosis;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\KeyedByShop;
use Doctrine\ORM\Mapping as ORM;

/** A number of the fault model that the shop holds to be otherwise than it ships. */
#[ORM\Entity(repositoryClass: OwnOddsRepository::class)]
class OwnOdds implements BelongsToShop
{
    use KeyedByShop;

    #[ORM\Id, ORM\Column(name: 'shop_id')]
    private int $shopId;

    #[ORM\Id, ORM\Column(length: 160)]
    private string $path;

    #[ORM\Column]
    private float $share;

    #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
    private Member $by;

    #[ORM\Column]
    private \DateTimeImmutable $at;

    /** @param float $share 0 to 1 */
    public function __construct(string $path, float $share, Member $by, \DateTimeImmutable $at)
    {
        $this->path = $path;
        $this->say($share, $by, $at);
    }

    public function say(float $share, Member $by, \DateTimeImmutable $at): void
    {
        [$this->share, $this->by, $this->at] = [$share, $by, $at];
    }

    public function getPath(): string
    {
        return $this->path;
    }

    public function getShare(): float
    {
        return $this->share;
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
