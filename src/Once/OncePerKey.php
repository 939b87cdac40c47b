<?php

declare(strict_types=1);

namespace AwakeShed\App\Once;

use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;

/** Runs a change in one transaction, flushed and committed, at most once for each request key. */
final readonly class OncePerKey
{
    public function __construct(private EntityManagerInterface $entities, private Transaction $transaction, private ClockInterface $clock)
    {
    }

    /**
     * @param int                    $by     the number of whoever sent it
     * @param \Closure(): (int|null) $change returns the number of what it made, if anybody will ask for it; whatever it
     *                                       throws undoes it, key and all, so that the same key may try again
     *
     * @return int|null the number of what was made, now or by the first request with this key
     *
     * @throws KeyConflict|\Throwable when the key was used by somebody else, or for something else; and what the change throws
     */
    public function run(RequestKey $key, int $by, \Closure $change): ?int
    {
        try {
            return $this->transaction->run(function () use ($key, $by, $change): ?int {
                $connection = $this->entities->getConnection();
                // Straight to the connection: a duplicate refused during an ORM flush would close the entity manager.
                // A rival transaction with the same key makes this wait until it has ended.
                $connection->executeStatement(
                    'INSERT INTO used_key (request_key, member_id, meant, used_at, shop_id) VALUES (?, ?, ?, ?, @shop)',
                    [$key->value, $by, $key->meant, $this->clock->now()],
                    [3 => Types::DATETIME_IMMUTABLE],
                );
                $made = $change();
                $this->entities->flush();
                if (null !== $made) {
                    $connection->update('used_key', ['made' => $made], ['request_key' => $key->value]);
                }

                return $made;
            });
        } catch (UniqueConstraintViolationException $duplicate) {
            if (!str_contains($duplicate->getMessage(), $key->value)) {
                throw $duplicate;
            }
            $used = $this->entities->find(UsedKey::class, $key->value);

            return true === $used?->isFor($key, $by) ? $used->getMade() : throw new KeyConflict();
        }
    }
}
