<?php

declare(strict_types=1);

namespace AwakeShed\Tests;

use PHPUnit\Framework\TestCase;

/**
 * Results that are kept, a line each, beside the test that asks for them. Whoever means to change one runs it with
 * SHED_KEEP=1, and reads what the change did before keeping it.
 */
final readonly class Kept
{
    private function __construct()
    {
    }

    /** As much of a long line as a person reads, and a digest of the rest. */
    public static function short(string $line): string
    {
        return 400 < mb_strlen($line) ? mb_substr($line, 0, 400).' … '.md5($line) : $line;
    }

    /** @param iterable<string> $lines */
    public static function is(string $file, iterable $lines): void
    {
        $lines = [...$lines];
        if ('1' === getenv('SHED_KEEP')) {
            file_put_contents($file, implode("\n", $lines)."\n");
            TestCase::fail('Kept anew: read what changed.');
        }
        TestCase::assertFileExists($file);
        TestCase::assertSame(file($file, \FILE_IGNORE_NEW_LINES), $lines);
    }
}
