<?php

declare(strict_types=1);

namespace AwakeShed\App\Oil;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Evidence\NewEntry;
use AwakeShed\Core\Units\Volume;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;

/** The oil of the shed and the one way on and off its shelf. Nothing is flushed here. */
final readonly class Shelf
{
    public function __construct(private EntityManagerInterface $entities, private Connection $connection, private ClockInterface $clock)
    {
    }

    /** @return list<Stock> by name */
    public function stocks(): array
    {
        /** @var list<array{id: int, name: string, stands: string, taken: string}> $rows */
        $rows = $this->connection->fetchAllAssociative(<<<'SQL'
            SELECT oil.id, oil.name, COALESCE(SUM(kept.stands), 0) AS stands, COALESCE(SUM(kept.taken), 0) AS taken
            FROM oil LEFT JOIN oil_total kept ON kept.shop_id = oil.shop_id AND kept.oil_id = oil.id
            WHERE oil.shop_id = @shop
            GROUP BY oil.id, oil.name ORDER BY oil.name
            SQL);

        return array_map(static fn (array $row): Stock => new Stock($row['id'], $row['name'], Volume::millilitres((float) $row['stands']), Volume::millilitres((float) $row['taken'])), $rows);
    }

    public function find(int $id): ?Oil
    {
        return $this->entities->find(Oil::class, $id);
    }

    public function isNamed(string $name): bool
    {
        return null !== $this->entities->getRepository(Oil::class)->findOneBy(['name' => trim($name)]);
    }

    /** @throws \AwakeShed\Core\Units\ImpossibleAmount */
    public function bought(Oil $oil, Volume $volume, Member $by): void
    {
        $this->entities->persist($oil);
        $this->entities->persist(OilMove::bought($oil, $volume, $by, $this->clock->now()));
    }

    /** @throws \AwakeShed\Core\Units\ImpossibleAmount */
    public function counted(Oil $oil, Volume $onShelf, Member $by): void
    {
        foreach ($this->stocks() as $stock) {
            if ($stock->id === $oil->getId()) {
                $this->entities->persist(OilMove::counted($oil, $onShelf, $stock->left, $by, $this->clock->now()));
            }
        }
    }

    /** More than the book says may be taken: what is in the engine is in the engine. */
    public function take(Oil $oil, Volume $volume, Member $by, NewEntry $entry): void
    {
        $this->entities->persist(OilMove::taken($oil, $volume, $by, $this->clock->now(), $entry));
    }
}
