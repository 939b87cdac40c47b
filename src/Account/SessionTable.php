<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use AwakeShed\App\Http\SessionPlace;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Exception\RetryableException;
use Symfony\Component\HttpFoundation\Session\Storage\Handler\AbstractSessionHandler;
use Symfony\Contracts\Service\ResetInterface;

/** Sessions in the database, for a shed of several web servers; otherwise as {@see SessionFiles}. */
final class SessionTable extends AbstractSessionHandler implements KnownSessions, SessionPlace, ResetInterface
{
    private const TRIES = 5;

    private bool $isLost = false;

    public function __construct(private readonly Connection $database)
    {
    }

    public function giveUp(): void
    {
        $this->isLost = true;
    }

    public function reset(): void
    {
        $this->isLost = false;
    }

    public function has(string $id): bool
    {
        return false !== $this->database->fetchOne('SELECT 1 FROM session_row WHERE id = ? AND seen_at > UTC_TIMESTAMP() - INTERVAL ? SECOND', [$id, SessionFiles::LIFE]);
    }

    public function close(): bool
    {
        return true;
    }

    public function gc(int $max_lifetime): int
    {
        return (int) $this->change('DELETE FROM session_row WHERE seen_at < UTC_TIMESTAMP() - INTERVAL ? SECOND', [$max_lifetime]);
    }

    public function updateTimestamp(string $id, string $data): bool
    {
        $this->change('UPDATE session_row SET seen_at = UTC_TIMESTAMP() WHERE id = ? AND seen_at < UTC_TIMESTAMP() - INTERVAL ? SECOND', [$id, SessionFiles::NOTED_EVERY]);

        return true;
    }

    protected function doRead(string $sessionId): string
    {
        $content = $this->isLost ? '' : $this->database->fetchOne('SELECT content FROM session_row WHERE id = ? AND seen_at > UTC_TIMESTAMP() - INTERVAL ? SECOND', [$sessionId, SessionFiles::LIFE]);

        return \is_string($content) ? $content : '';
    }

    protected function doWrite(string $sessionId, string $data): bool
    {
        $this->change('INSERT INTO session_row (id, content, seen_at) VALUES (?, ?, UTC_TIMESTAMP()) ON DUPLICATE KEY UPDATE content = VALUES(content), seen_at = VALUES(seen_at)', [$sessionId, $data]);

        return true;
    }

    protected function doDestroy(string $sessionId): bool
    {
        $this->change('DELETE FROM session_row WHERE id = ?', [$sessionId]);

        return true;
    }

    /**
     * By itself, outside of any transaction: of two nodes that write one session at once, the second writes again.
     *
     * @param list<int|string> $values
     */
    private function change(string $statement, array $values): int|string
    {
        if ($this->isLost) {
            return 0;
        }
        for ($try = 1;; ++$try) {
            try {
                return $this->database->executeStatement($statement, $values);
            } catch (RetryableException $lost) {
                if ($try >= self::TRIES) {
                    throw $lost;
                }
            }
        }
    }
}
