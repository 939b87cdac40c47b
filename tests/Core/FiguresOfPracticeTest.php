<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core;

use AwakeShed\Tests\Figures;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * The constants of the core stand here a second time, a class a line (tests/Core/Figures), and are compared whole, for the
 * reason of the tables ({@see TablesOfPracticeTest}): a limit, a share, a usual gap is practice, and what is reckoned with
 * it mostly looks as reasonable a tenth further on. Whoever changes one changes it twice, on purpose; docs/numbers.md says
 * where each comes from.
 */
final class FiguresOfPracticeTest extends TestCase
{
    private const COPIES = __DIR__.'/Figures/';

    /** @return iterable<string, array{string, list<string>}> */
    public static function folders(): iterable
    {
        foreach (Figures::of(__DIR__.'/../../core/', 'AwakeShed\Core\\', static fn (): bool => true) as $folder => $says) {
            yield $folder => [self::COPIES.$folder.'.txt', $says];
        }
    }

    /** @param list<string> $says */
    #[DataProvider('folders')]
    public function testTheFiguresOfAFolderAreThoseOfItsCopy(string $copy, array $says): void
    {
        self::assertFileExists($copy);
        self::assertSame(Figures::copied($copy), $says);
    }

    public function testNoCopyIsOfAFolderThatIsGone(): void
    {
        self::assertEqualsCanonicalizing(array_keys([...self::folders()]), Figures::copies(self::COPIES));
    }
}
