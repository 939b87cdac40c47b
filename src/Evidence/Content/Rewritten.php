<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence\Content;

/**
 * What was rewritten on the job itself: its machine, its owner, its schools, whether it is here.
 *
 * @phpstan-type RewrittenArray array{before: array<string, mixed>, after: array<string, mixed>}
 */
final readonly class Rewritten implements Content
{
    /**
     * @param array<string, mixed> $before by key of the job's sheet
     * @param array<string, mixed> $after
     */
    public function __construct(public array $before, public array $after)
    {
    }

    public function kind(): ContentKind
    {
        return ContentKind::Rewritten;
    }

    public function events(): array
    {
        return [];
    }

    /** @return RewrittenArray */
    public function toArray(): array
    {
        return ['before' => $this->before, 'after' => $this->after];
    }
}
