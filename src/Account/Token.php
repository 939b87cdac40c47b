<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

/** What a link carries that nobody can guess; of which only the digest is kept. */
final readonly class Token
{
    private function __construct()
    {
    }

    /** @return string 43 letters, 256 random bits */
    public static function fresh(): string
    {
        return rtrim(strtr(base64_encode(random_bytes(32)), '+/', '-_'), '=');
    }

    public static function digest(#[\SensitiveParameter] string $token): string
    {
        return hash('sha256', $token);
    }
}
