<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App;

use AwakeShed\Tests\Figures;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * How much is taken, how long is waited, how many are shown: the numbers among the application's constants stand here a
 * second time, a class a line (tests/App/Figures). A page with seven of a thing passes for one with six, and an upload of
 * thirteen megabytes is tried by nobody: whoever changes one changes it twice, on purpose.
 */
final class FiguresOfTheShedTest extends TestCase
{
    private const COPIES = __DIR__.'/Figures/';

    /** @return iterable<string, array{string, list<string>}> */
    public static function folders(): iterable
    {
        foreach (Figures::of(__DIR__.'/../../src/', 'AwakeShed\App\\', self::hasNumbers(...)) as $folder => $says) {
            yield $folder => [self::COPIES.$folder.'.txt', $says];
        }
    }

    private static function hasNumbers(mixed $value): bool
    {
        return \is_int($value) || \is_float($value) || (\is_array($value) && [] !== array_filter($value, self::hasNumbers(...)));
    }

    /** @param list<string> $says */
    #[DataProvider('folders')]
    public function testTheNumbersOfAFolderAreThoseOfItsCopy(string $copy, array $says): void
    {
        self::assertFileExists($copy);
        self::assertSame(Figures::copied($copy), $says);
    }

    public function testNoCopyIsOfAFolderThatIsGone(): void
    {
        self::assertEqualsCanonicalizing(array_keys([...self::folders()]), Figures::copies(self::COPIES));
    }
}
