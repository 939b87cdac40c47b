<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence;

/** Who recorded something, as far as a page says it. */
final readonly class Author
{
    public function __construct(public string $name, public string $signInName)
    {
    }
}
