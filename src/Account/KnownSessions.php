<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

/** Tells a session that was begun here from a name somebody made up. */
interface KnownSessions
{
    public function has(string $id): bool;
}
