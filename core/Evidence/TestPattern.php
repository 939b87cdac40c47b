<?php

declare(strict_types=1);

namespace AwakeShed\Core\Evidence;

/** Test ids as the vocabulary's rules write them: "start.*" stands for every id that begins with "start.". */
final readonly class TestPattern
{
    private function __construct()
    {
    }

    /** @param list<string> $patterns */
    public static function matchesAny(array $patterns, string $test): bool
    {
        foreach ($patterns as $pattern) {
            if ($pattern === $test || (str_ends_with($pattern, '*') && str_starts_with($test, substr($pattern, 0, -1)))) {
                return true;
            }
        }

        return false;
    }
}
