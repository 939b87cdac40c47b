<?php

declare(strict_types=1);

namespace AwakeShed\Core\Gate;

/** One thing that keeps a test closed; `until` is the id of the test to make or of the hold to release. */
final readonly class Blocker
{
    private function __construct(public BlockerKind $kind, public string $until)
    {
    }

    public static function look(string $test): self
    {
        return new self(BlockerKind::Look, $test);
    }

    public static function lookAgain(string $test): self
    {
        return new self(BlockerKind::LookAgain, $test);
    }

    public static function refit(): self
    {
        return new self(BlockerKind::Refit, 'refit');
    }

    public static function hold(string $hold): self
    {
        return new self(BlockerKind::Hold, $hold);
    }
}
