<?php

declare(strict_types=1);

namespace AwakeShed\Core\Gate;

/** One thing that keeps a test closed; `until` is the id of the test to make, of the act to do or of the hold to release. */
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

    public static function act(string $act): self
    {
        return new self(BlockerKind::Act, $act);
    }

    public static function hold(string $hold): self
    {
        return new self(BlockerKind::Hold, $hold);
    }
}
