<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core;

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
    private const CORE = __DIR__.'/../../core/';
    private const COPIES = __DIR__.'/Figures/';

    /** @return iterable<string, array{list<string>}> what the classes of a folder say, a class a line */
    public static function folders(): iterable
    {
        $folders = [];
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(self::CORE, \FilesystemIterator::SKIP_DOTS)) as $file) {
            \assert($file instanceof \SplFileInfo);
            $path = substr($file->getPathname(), \strlen(self::CORE), -\strlen('.php'));
            $class = 'AwakeShed\Core\\'.strtr($path, '/', '\\');
            if ('php' !== $file->getExtension() || !(class_exists($class) || interface_exists($class))) {
                continue;
            }
            $said = [];
            foreach ((new \ReflectionClass($class))->getReflectionConstants() as $constant) {
                if (!$constant->isEnumCase() && $constant->getDeclaringClass()->getName() === $class) {
                    $value = $constant->getValue();
                    // A file of the project is wherever the project is.
                    $said[$constant->getName()] = \is_string($value) ? str_replace(\dirname(__DIR__, 2).'/', '', $value) : $value;
                }
            }
            if ([] !== $said) {
                [$folder, $name] = explode('/', $path, 2) + [1 => $path];
                $folders[$name === $path ? 'Core' : $folder][$name] = $said;
            }
        }
        foreach ($folders as $folder => $classes) {
            ksort($classes);
            yield $folder => [TableRows::of($classes)];
        }
    }

    /** @param list<string> $says */
    #[DataProvider('folders')]
    public function testTheFiguresOfAFolderAreThoseOfItsCopy(array $says): void
    {
        $copy = self::COPIES.$this->dataName().'.txt';
        self::assertFileExists($copy);
        self::assertSame(explode("\n", rtrim((string) file_get_contents($copy))), $says);
    }

    public function testNoCopyIsOfAFolderThatIsGone(): void
    {
        $copies = array_map(static fn (string $copy): string => basename($copy, '.txt'), array_filter((array) glob(self::COPIES.'*.txt'), is_string(...)));
        self::assertEqualsCanonicalizing(array_keys(iterator_to_array(self::folders())), $copies);
    }
}
