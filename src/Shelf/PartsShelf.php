<?php

declare(strict_types=1);

namespace AwakeShed\App\Shelf;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Carburetor\WantedPart;
use AwakeShed\App\Carburetor\WantedState;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Money\Charge;
use AwakeShed\App\Once\Turns;
use AwakeShed\Core\Money\BillLine;
use AwakeShed\Core\Money\LineKind;
use AwakeShed\Core\Units\Money;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;

/** What lies on the shelf, what of it would do for a wanted part, and how it goes onto a job. */
final readonly class PartsShelf
{
    private const MOST = 500;
    private const MOVES = 20;

    public function __construct(private EntityManagerInterface $entities, private Turns $turns, private ClockInterface $clock)
    {
    }

    /** @return list<ShelfPart> what is to be ordered first, then by name */
    public function all(): array
    {
        $parts = $this->entities->getRepository(ShelfPart::class)->findBy([], ['name' => 'ASC'], self::MOST);
        usort($parts, static fn (ShelfPart $one, ShelfPart $other): int => [!$one->isToOrder(), $one->getName()] <=> [!$other->isToOrder(), $other->getName()]);

        return $parts;
    }

    /**
     * What would do for a wanted part: all words of one name are in the other, and it lies there.
     *
     * @param list<WantedPart> $wanted
     *
     * @return array<int, list<ShelfPart>> by wanted part
     */
    public function wouldDo(array $wanted): array
    {
        $there = array_filter($this->all(), static fn (ShelfPart $part): bool => $part->getCount() > 0);
        $do = [];
        foreach ($wanted as $part) {
            if ($part->getState()->isWaitedFor()) {
                $do[$part->getId()] = array_values(array_filter($there, static fn (ShelfPart $one): bool => self::isAlike($part->getName(), $one->getName().' '.$one->getNumber())));
            }
        }

        return array_filter($do);
    }

    /** @return list<ShelfPart> donors that fit a model, or whose fit nobody has written down */
    public function donors(string $model): array
    {
        return array_values(array_filter($this->all(), static fn (ShelfPart $part): bool => PartCondition::Donor === $part->getCondition() && $part->getCount() > 0 && ('' === $part->getFits() || ('' !== $model && self::isAlike($part->getFits(), $model)))));
    }

    /** @return list<ShelfMove> what came and went, the latest first */
    public function lastMoves(): array
    {
        /** @var list<ShelfMove> $moves */
        $moves = $this->entities->getRepository(ShelfMove::class)->createQueryBuilder('move')
            ->addSelect('part', 'job', 'person')->innerJoin('move.part', 'part')->leftJoin('move.job', 'job')->innerJoin('move.who', 'person')
            ->where('move.by <> 0')->orderBy('move.id', 'DESC')->setMaxResults(self::MOVES)->getQuery()->getResult();

        return $moves;
    }

    /** They come, or go. Nothing is flushed; their turn lasts until it is. */
    public function move(ShelfPart $part, int $by, ?Job $job, Member $who): void
    {
        $this->turns->take($part);
        $part->move($by);
        $this->entities->persist(new ShelfMove($part, $by, $job, $who, $this->clock->now()));
    }

    /** What a job wants comes off the shelf, and stands on its bill. Nothing is flushed. */
    public function fill(WantedPart $wanted, ShelfPart $part, Member $who): void
    {
        $this->move($part, -$wanted->getQuantity(), $wanted->getJob(), $who);
        $wanted->becomes(WantedState::Here, $this->clock->now());
        if ($part->getPrice() > 0.0) {
            $this->entities->persist(new Charge($wanted->getJob(), new BillLine(LineKind::Part, $wanted->getName(), $wanted->getQuantity(), Money::dollars($part->getPrice())), $who, $this->clock->now()));
        }
    }

    private static function isAlike(string $one, string $other): bool
    {
        $words = static fn (string $text): array => explode(' ', trim((string) preg_replace('/[^\p{L}\p{N}]+/u', ' ', mb_strtolower($text))));
        [$few, $many] = [$words($one), $words($other)];
        [$few, $many] = \count($few) <= \count($many) ? [$few, $many] : [$many, $few];

        return [''] !== $few && [] === array_diff($few, $many);
    }
}
