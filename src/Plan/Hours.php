<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\OfShop;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** When somebody is at the bench, on one day of the week. */
#[ORM\Entity]
#[ORM\UniqueConstraint(columns: ['member_id', 'weekday'])]
class Hours implements BelongsToShop
{
    use OfShop;

    /** Monday to Friday from eight to half past four with half an hour at noon, until somebody says otherwise (common practice). */
    private const USUAL_DAYS = 5;
    private const USUAL = [480, 990];
    public const NOON = [720, 750];

    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
    private Member $member;

    /** 1 is Monday, 7 is Sunday. */
    #[ORM\Column(type: Types::SMALLINT)]
    private int $weekday;

    /** Minutes since midnight; the same as `until` where nobody comes. */
    #[ORM\Column(type: Types::SMALLINT)]
    private int $since;

    #[ORM\Column(type: Types::SMALLINT)]
    private int $until;

    /** @param int $weekday 1 to 7 */
    public function __construct(Member $member, int $weekday)
    {
        $this->member = $member;
        $this->weekday = $weekday;
        [$this->since, $this->until] = self::usual($weekday);
    }

    /** @return array{int, int} minutes since midnight */
    public static function usual(int $weekday): array
    {
        return $weekday <= self::USUAL_DAYS ? self::USUAL : [0, 0];
    }

    /** @param int $since minutes since midnight, 0 to 1440; `until` not before it */
    public function set(int $since, int $until): void
    {
        $this->since = $since;
        $this->until = max($since, $until);
    }

    public function getMember(): Member
    {
        return $this->member;
    }

    public function getWeekday(): int
    {
        return $this->weekday;
    }

    /** @return array{int, int} */
    public function stretch(): array
    {
        return [$this->since, $this->until];
    }

    public function getId(): ?int
    {
        return $this->id;
    }
}
