<?php

declare(strict_types=1);

namespace AwakeShed\App\Once;

use Doctrine\ORM\EntityManagerInterface;

/**
 * All or nothing. Unlike the entity manager's own, a refusal in the middle leaves it open, so that the page that says
 * so can still be made.
 */
final readonly class Transaction
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    /**
     * @template T
     *
     * @param \Closure(): T $change flushed and committed; whatever it throws undoes it
     *
     * @return T
     */
    public function run(\Closure $change): mixed
    {
        $connection = $this->entities->getConnection();
        $connection->beginTransaction();
        try {
            $result = $change();
            $this->entities->flush();
            $connection->commit();

            return $result;
        } catch (\Throwable $failure) {
            try {
                $connection->rollBack();
            } catch (\Throwable) {
                // On a line that is dead there is nothing to roll back, and saying so would hide what went wrong.
                $connection->close();
            }

            throw $failure;
        }
    }
}
