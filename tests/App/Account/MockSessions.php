<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Account;

use AwakeShed\App\Account\KnownSessions;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** The sessions of the test browser, which lie as files of the framework's mock storage. */
final readonly class MockSessions implements KnownSessions
{
    public function __construct(#[Autowire('%kernel.cache_dir%/sessions')] private string $folder)
    {
    }

    public function has(string $id): bool
    {
        return ctype_xdigit($id) && is_file("$this->folder/$id.mocksess");
    }
}
