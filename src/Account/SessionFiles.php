<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use AwakeShed\App\Http\SessionPlace;
use Symfony\Component\HttpFoundation\Session\Storage\Handler\AbstractSessionHandler;

/**
 * Sessions as files that are read and let go: no request waits for another of the same person, be it a poll or a
 * recording. Written whole or not at all; of two that write at once the last stands, which loses a notice at worst,
 * because who is signed in is decided by the database.
 */
final class SessionFiles extends AbstractSessionHandler implements KnownSessions, SessionPlace
{
    /** s without use. */
    public const LIFE = 43200;

    /** s between two notes that a session is in use. */
    public const NOTED_EVERY = 60;

    public function __construct(private readonly string $runDir)
    {
    }

    /** Unused for longer than its life, a session is none, whether or not it was swept away yet. */
    public function has(string $id): bool
    {
        return 1 === preg_match('/\A[a-zA-Z0-9,-]{16,250}\z/', $id) && is_file($this->file($id)) && filemtime($this->file($id)) > time() - self::LIFE;
    }

    /** The disk is as it was. */
    public function giveUp(): void
    {
    }

    public function close(): bool
    {
        return true;
    }

    public function gc(int $max_lifetime): int
    {
        $gone = 0;
        $files = glob($this->runDir.'/sessions/*');
        foreach (false === $files ? [] : $files as $file) {
            if (@filemtime($file) < time() - $max_lifetime && @unlink($file)) {
                ++$gone;
            }
        }

        return $gone;
    }

    public function updateTimestamp(string $id, string $data): bool
    {
        // Noted now and then: to the minute is fine enough for a life of half a day, and a page need not write for it.
        if ($this->has($id) && filemtime($this->file($id)) < time() - self::NOTED_EVERY) {
            touch($this->file($id));
        }

        return true;
    }

    protected function doRead(string $sessionId): string
    {
        return $this->has($sessionId) ? (string) @file_get_contents($this->file($sessionId)) : '';
    }

    protected function doWrite(string $sessionId, string $data): bool
    {
        $file = $this->file($sessionId);
        $new = $file.'.'.bin2hex(random_bytes(4));

        return \strlen($data) === @file_put_contents($new, $data) && rename($new, $file);
    }

    protected function doDestroy(string $sessionId): bool
    {
        if ($this->has($sessionId)) {
            @unlink($this->file($sessionId));
        }

        return true;
    }

    private function file(string $id): string
    {
        return $this->runDir.'/sessions/sess_'.$id;
    }
}
