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

    /** To nine digits; what is left of something taken off itself is another on every processor, and counts as nothing. */
    public static function figure(?float $figure): string
    {
        return null === $figure ? 'none' : \sprintf('%.9g', abs($figure) < 1e-12 ? 0.0 : $figure);
    }

    /**
     * Thousands of values in a few figures, none of which stays the same when values change or change places.
     *
     * @param list<float> $values
     */
    public static function summed(array $values): string
    {
        if ([] === $values) {
            return 'none';
        }
        $places = array_map(static fn (int $n, float $value): float => ($n + 1) * $value, array_keys($values), $values);
        $nothing = 1e-9 * max(abs(min($values)), abs(max($values))) * \count($values);

        return \sprintf('%d from %.7g to %.7g, sum %.7g, by place %.7g', \count($values), ...array_map(
            static fn (float $figure): float => abs($figure) < $nothing ? 0.0 : $figure,
            [min($values), max($values), array_sum($values), array_sum($places) / \count($values)],
        ));
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
