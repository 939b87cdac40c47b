<?php

declare(strict_types=1);

namespace AwakeShed\App\Once;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;

/**
 * Whoever writes on a thing takes their turn first, so that two who do come one after the other and the second sees what
 * the first left. The turn is a row that is written, not one that is only locked: nodes of a cluster do not tell each
 * other of locks, but of two that write the same row the later one is undone, and done again ({@see DoneAgain}).
 */
final readonly class Turns
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /**
     * Waits until nobody else has their turn at it; theirs until the transaction ends.
     *
     * @param object $thing that is saved; read anew
     */
    public function take(object $thing): void
    {
        $this->hold($thing);
        // As it is now, whatever the transaction has read before.
        $this->entities->refresh($thing, LockMode::PESSIMISTIC_WRITE);
    }

    /** @param object|string $thing that is saved, left as it is in memory; or a name of at most 60 letters for what has no row */
    public function hold(object|string $thing): void
    {
        $this->entities->getConnection()->executeStatement(
            'INSERT INTO turn (name, taken) VALUES (?, 1) ON DUPLICATE KEY UPDATE taken = taken + 1',
            [\is_string($thing) ? $thing : $this->name($thing)],
        );
    }

    private function name(object $thing): string
    {
        $class = $this->entities->getClassMetadata($thing::class);
        $id = $class->getIdentifierValues($thing);

        return $class->getTableName().' '.implode(' ', array_map(static fn (mixed $part): string => \is_scalar($part) ? (string) $part : throw new \LogicException('What has its turn has a number or a name.'), $id));
    }
}
