<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\OfShop;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/**
 * A plan as it was made, kept: what was to be planned, what came of it, what each promise is worth, what changed.
 *
 * @phpstan-type Odds array{kept: float, half: int, most: int, nearly: int, hangs_on: list<string>}
 * @phpstan-type Change array{operation: string, from: int|null, to: int|null, hands_from: list<string>, hands_to: list<string>}
 * @phpstan-type Save array{what: string, whose: string, saved: int, kept: list<string>}
 */
#[ORM\Entity(repositoryClass: PlanVersionRepository::class)]
#[ORM\Index(name: 'plan_of_shop', columns: ['shop_id'])]
class PlanVersion implements BelongsToShop
{
    use OfShop;

    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    /**
     * @param array<string, mixed> $problem in the open plan format
     * @param array<string, mixed> $plan    in the open plan format
     * @param array<string, Odds>  $odds    by job
     * @param list<Save>           $savings
     * @param list<Change>         $changes against the version before; minutes from this one's beginning
     */
    public function __construct(
        #[ORM\Column(type: Types::DATETIME_IMMUTABLE)]
        private \DateTimeImmutable $beginsAt,
        #[ORM\Column]
        private array $problem,
        #[ORM\Column]
        private array $plan,
        #[ORM\Column]
        private array $odds,
        #[ORM\Column]
        private array $savings,
        #[ORM\Column]
        private array $changes,
        #[ORM\Column(type: Types::DATETIME_IMMUTABLE)]
        private \DateTimeImmutable $madeAt,
    ) {
    }

    public function getId(): int
    {
        return $this->id ?? throw new \LogicException('A plan has its number once it is saved.');
    }

    /** Minute nought. */
    public function getBeginsAt(): \DateTimeImmutable
    {
        return $this->beginsAt;
    }

    /** @return array<string, mixed> */
    public function getProblem(): array
    {
        return $this->problem;
    }

    /** @return array<string, mixed> */
    public function getPlan(): array
    {
        return $this->plan;
    }

    /** @return array<string, Odds> */
    public function getOdds(): array
    {
        return $this->odds;
    }

    /** @return list<Save> */
    public function getSavings(): array
    {
        return $this->savings;
    }

    /** @return list<Change> */
    public function getChanges(): array
    {
        return $this->changes;
    }

    public function getMadeAt(): \DateTimeImmutable
    {
        return $this->madeAt;
    }
}
