<?php

declare(strict_types=1);

namespace AwakeShed\App\Once;

use Doctrine\DBAL\Connection;

/**
 * Who may do a thing alone, told in the database: it holds across workers and machines, and ends by itself with a
 * process that died. A lock of the database's own would do neither: its connections outlive a request, and its nodes do
 * not tell each other of them.
 */
final readonly class Leases
{
    /** µs between two asks. */
    private const BETWEEN = 300_000;

    public function __construct(private Connection $database)
    {
    }

    /**
     * Outside of any transaction, or nobody else would see it.
     *
     * @param string $name     at most 60 letters
     * @param int    $seconds  until it ends by itself, at least 1; longer than what is done between two keeps
     * @param int    $patience s to wait for one who has it; longer than their lease waits out a process that died
     */
    public function take(string $name, int $seconds, int $patience = 0): ?HeldLease
    {
        $from = hrtime(true);
        $lease = $this->ask($name, $seconds);
        while (null === $lease && (hrtime(true) - $from) / 1e9 < $patience) {
            usleep(self::BETWEEN);
            $lease = $this->ask($name, $seconds);
        }

        return $lease;
    }

    /** Each for as long again, from now. False where one had ended and is somebody else's. */
    public function keep(HeldLease ...$leases): bool
    {
        foreach ($leases as $lease) {
            $kept = $this->database->executeStatement(
                'UPDATE lease SET held_until = UTC_TIMESTAMP(6) + INTERVAL :seconds SECOND WHERE name = :name AND holder = :holder',
                ['name' => $lease->name, 'holder' => $lease->holder, 'seconds' => $lease->seconds],
            );
            if (0 === $kept) {
                return false;
            }
        }

        return true;
    }

    public function give(HeldLease ...$leases): void
    {
        foreach ($leases as $lease) {
            $this->database->delete('lease', ['name' => $lease->name, 'holder' => $lease->holder]);
        }
    }

    private function ask(string $name, int $seconds): ?HeldLease
    {
        $lease = new HeldLease($name, bin2hex(random_bytes(8)), $seconds);
        // Assignments are carried out from left to right: the second one sees who holds it after the first. A row that
        // somebody else holds is left as it is, and counts as none.
        $taken = $this->database->executeStatement(
            'INSERT INTO lease (name, holder, held_until) VALUES (:name, :holder, UTC_TIMESTAMP(6) + INTERVAL :seconds SECOND)
             ON DUPLICATE KEY UPDATE holder = IF(held_until < UTC_TIMESTAMP(6), :holder, holder), held_until = IF(holder = :holder, UTC_TIMESTAMP(6) + INTERVAL :seconds SECOND, held_until)',
            ['name' => $name, 'holder' => $lease->holder, 'seconds' => $seconds],
        );

        return 0 === $taken ? null : $lease;
    }
}
