<?php

declare(strict_types=1);

namespace AwakeShed\App\Belonging;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\ParameterType;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Contracts\Service\ResetInterface;

/** Whose shed this is about: of whoever is signed in, of the link somebody came by, or of the shop a command was told. */
final class CurrentShop implements ResetInterface
{
    private ?int $id = null;

    public function __construct(private readonly Connection $database, private readonly EntityManagerInterface $entities)
    {
    }

    public function enter(int $shop): void
    {
        $this->database->executeStatement('SET @shop = ?', [$shop], [ParameterType::INTEGER]);
        $this->id = $shop;
    }

    /** After a statement that has said it to the database itself. */
    public function entered(int $shop): void
    {
        $this->id = $shop;
    }

    /** @throws \LogicException when nobody has said it */
    public function id(): int
    {
        return $this->id ?? throw new \LogicException('Nobody has said whose shed this is.');
    }

    public function isKnown(): bool
    {
        return null !== $this->id;
    }

    /**
     * Asks all shops: for what is known by a secret or a name that no two shops share, before it is known whose it is.
     *
     * @template T
     *
     * @param \Closure(): T $ask
     *
     * @return T
     */
    public function everywhere(\Closure $ask): mixed
    {
        $filters = $this->entities->getFilters();
        if (!$filters->isEnabled(OneShop::NAME)) {
            return $ask();
        }
        $filters->suspend(OneShop::NAME);
        try {
            return $ask();
        } finally {
            $filters->restore(OneShop::NAME);
        }
    }

    /**
     * Whoever comes by a secret is in the shop of what it opens.
     *
     * @template T of BelongsToShop
     *
     * @param \Closure(): (T|null) $find asked of all shops
     *
     * @return T|null
     */
    public function enterBy(\Closure $find): ?BelongsToShop
    {
        $found = $this->everywhere($find);
        if (null !== $found) {
            $this->enter($found->shop());
        }

        return $found;
    }

    /** @param \Closure(): void $do in each shop, one after the other; the last one is left as the one it was before */
    public function each(\Closure $do): void
    {
        $before = $this->id;
        foreach ($this->database->fetchFirstColumn('SELECT id FROM shop ORDER BY id') as $shop) {
            \assert(\is_int($shop));
            $this->enter($shop);
            $this->entities->clear();
            $do();
        }
        if (null !== $before) {
            $this->enter($before);
        }
    }

    public function reset(): void
    {
        $this->id = null;
    }
}
