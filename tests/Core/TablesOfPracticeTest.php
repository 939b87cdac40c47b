<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core;

use AwakeShed\Core\Table;
use AwakeShed\Tests\StandsTwice;
use PHPUnit\Framework\TestCase;

/**
 * The trade's tables stand here a second time, a row a line (tests/Core/Tables), and are compared whole: what they say is
 * practice, not the outcome of anything, so that nothing else would notice a wrong row. Whoever changes one changes it
 * twice, on purpose: there is no command that writes the copy anew.
 */
final class TablesOfPracticeTest extends TestCase
{
    use StandsTwice;

    private const CORE = __DIR__.'/../../core/';
    private const COPIES = __DIR__.'/Tables/';

    private static function said(): iterable
    {
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(self::CORE, \FilesystemIterator::SKIP_DOTS)) as $file) {
            \assert($file instanceof \SplFileInfo);
            if ('json' === $file->getExtension()) {
                yield strtr(substr($file->getPath(), \strlen(self::CORE)), ['/data' => '', '/' => '-']).'-'.$file->getBasename('.json') => TableRows::of(Table::read((string) $file->getRealPath()));
            }
        }
    }

    /** Two tables that differ are never written alike. */
    public function testNothingIsLostInTheWriting(): void
    {
        $alike = [['1', 1], [true, 'yes'], [null, 'nothing'], [['a', 'b'], 'a, b'], [['a'], 'a'], [[], ''], [1, 1.0], [['k' => 'v'], 'k v'], [[['a', 'b']], ['a', 'b']], [['k' => ['x' => 1, 'y' => 2]], ['k' => ['x' => 1], 'y' => 2]]];
        foreach ($alike as [$one, $other]) {
            self::assertNotSame(TableRows::of(['t' => $one]), TableRows::of(['t' => $other]));
        }
    }
}
