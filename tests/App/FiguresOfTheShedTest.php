<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App;

use AwakeShed\Tests\Figures;
use AwakeShed\Tests\StandsTwice;
use PHPUnit\Framework\TestCase;

/**
 * How much is taken, how long is waited, how many are shown: the numbers among the application's constants stand here a
 * second time, a class a line (tests/App/Figures). A page with seven of a thing passes for one with six, and an upload of
 * thirteen megabytes is tried by nobody: whoever changes one changes it twice, on purpose.
 */
final class FiguresOfTheShedTest extends TestCase
{
    use StandsTwice;

    private const COPIES = __DIR__.'/Figures/';

    private static function said(): iterable
    {
        return Figures::of(__DIR__.'/../../src/', 'AwakeShed\App\\', self::hasNumbers(...));
    }

    private static function hasNumbers(mixed $value): bool
    {
        return \is_int($value) || \is_float($value) || (\is_array($value) && [] !== array_filter($value, self::hasNumbers(...)));
    }
}
