<?php

declare(strict_types=1);

namespace AwakeShed\Tests;

use AwakeShed\Tests\Core\TableRows;

/** The constants of classes, as a person reads them: a class a line. */
final readonly class Figures
{
    private function __construct()
    {
    }

    /**
     * @param string                $source    the folder of the classes, with a slash at its end
     * @param string                $namespace of that folder, with a backslash at its end
     * @param \Closure(mixed): bool $isMeant   whether a constant of this value is one of them
     *
     * @return iterable<string, list<string>> by folder
     */
    public static function of(string $source, string $namespace, \Closure $isMeant): iterable
    {
        $folders = [];
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($source, \FilesystemIterator::SKIP_DOTS)) as $file) {
            \assert($file instanceof \SplFileInfo);
            $path = substr($file->getPathname(), \strlen($source), -\strlen('.php'));
            $class = $namespace.strtr($path, '/', '\\');
            if ('php' !== $file->getExtension() || !(class_exists($class) || interface_exists($class))) {
                continue;
            }
            $said = [];
            foreach ((new \ReflectionClass($class))->getReflectionConstants() as $constant) {
                if (!$constant->isEnumCase() && $constant->getDeclaringClass()->getName() === $class && $isMeant($constant->getValue())) {
                    $value = $constant->getValue();
                    // A file of the project is wherever the project is.
                    $said[$constant->getName()] = \is_string($value) ? str_replace(\dirname(__DIR__).'/', '', $value) : $value;
                }
            }
            if ([] !== $said) {
                [$folder, $name] = str_contains($path, '/') ? explode('/', $path, 2) : ['Outside', $path];
                $folders[$folder][$name] = $said;
            }
        }
        foreach ($folders as $folder => $classes) {
            ksort($classes);
            yield $folder => TableRows::of($classes);
        }
    }
}
