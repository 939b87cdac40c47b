<?php

declare(strict_types=1);

namespace AwakeShed\Tests;

use PHPUnit\Framework\Attributes\DataProvider;

/** What stands a second time in a folder of copies (COPIES, with a slash at its end), a file each, is compared with it whole. */
trait StandsTwice
{
    /** @return iterable<string, list<string>> line by line, by the name of its copy */
    abstract private static function said(): iterable;

    /** @return iterable<string, array{string, list<string>}> */
    public static function twice(): iterable
    {
        foreach (self::said() as $name => $says) {
            yield $name => [self::COPIES.$name.'.txt', $says];
        }
    }

    /** @param list<string> $says */
    #[DataProvider('twice')]
    public function testItIsWhatItsCopySays(string $copy, array $says): void
    {
        self::assertFileExists($copy);
        self::assertSame(explode("\n", rtrim((string) file_get_contents($copy))), $says);
    }

    public function testNoCopyIsOfWhatIsGone(): void
    {
        $copies = array_map(static fn (string $copy): string => basename($copy, '.txt'), array_filter((array) glob(self::COPIES.'*.txt'), is_string(...)));
        self::assertEqualsCanonicalizing(array_keys([...self::twice()]), $copies);
    }
}
