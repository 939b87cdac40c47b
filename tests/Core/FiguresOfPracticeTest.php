<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core;

use AwakeShed\Tests\Figures;
use AwakeShed\Tests\StandsTwice;
use PHPUnit\Framework\TestCase;

/**
 * The constants of the core stand here a second time, a class a line (tests/Core/Figures), and are compared whole, for the
 * reason of the tables ({@see TablesOfPracticeTest}): a limit, a share, a usual gap is practice, and what is reckoned with
 * it mostly looks as reasonable a tenth further on. Whoever changes one changes it twice, on purpose; docs/numbers.md says
 * where each comes from.
 */
final class FiguresOfPracticeTest extends TestCase
{
    use StandsTwice;

    private const COPIES = __DIR__.'/Figures/';

    private static function said(): iterable
    {
        return Figures::of(__DIR__.'/../../core/', 'AwakeShed\Core\\', static fn (): bool => true);
    }
}
