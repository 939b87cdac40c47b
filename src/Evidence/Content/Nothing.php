<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence\Content;

/** What a withdrawal says by itself: nothing. */
final readonly class Nothing implements Content
{
    public function kind(): ContentKind
    {
        return ContentKind::Nothing;
    }

    public function events(): array
    {
        return [];
    }

    /** @return array{} */
    public function toArray(): array
    {
        return [];
    }
}
