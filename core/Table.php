<?php

declare(strict_types=1);

namespace AwakeShed\Core;

/**
 * A table that ships as JSON beside the code that reads it; what is in it is checked by a test of its own. A build may
 * write each down as PHP, which the engine keeps in memory for all its workers; the JSON stays the source.
 */
final class Table
{
    private static ?string $made = null;

    /** Where what is worked out is to be written down; null but while a build makes it. */
    private static ?string $making = null;

    private function __construct()
    {
    }

    /** For this process, from now on: takes what a build has written into a folder; what is not there is read as ever. */
    public static function madeIn(string $folder): void
    {
        self::$made = $folder;
    }

    /**
     * @param string $path of a file of ours, never of anybody's upload
     *
     * @return mixed objects as arrays
     *
     * @throws \JsonException when the file is broken, which is a fault of ours
     */
    public static function read(string $path): mixed
    {
        $made = self::ready(self::madeName($path));
        if (null !== $made) {
            return require $made;
        }

        return json_decode((string) file_get_contents($path), true, flags: \JSON_THROW_ON_ERROR);
    }

    /**
     * What is worked out of tables alone: the same until one of them changes, so that a build keeps it beside them.
     *
     * @template T of array
     *
     * @param string        $name one of its own, without a slash
     * @param \Closure(): T $work arrays, words and numbers only
     *
     * @return T
     */
    public static function derived(string $name, \Closure $work): array
    {
        $file = 'derived-'.$name.'.php';
        $made = self::ready($file);
        if (null !== $made) {
            /** @var T $ready */
            $ready = require $made;

            return $ready;
        }
        $result = $work();
        if (null !== self::$making) {
            self::write(self::$making.'/'.$file, $result);
        }

        return $result;
    }

    /**
     * Writes every table of the core into a folder, as {@see madeIn} takes them, and what is derived of them.
     *
     * @param list<\Closure(): mixed> $readers whatever asks for what is derived
     *
     * @throws \JsonException when one is broken
     */
    public static function make(string $folder, array $readers): void
    {
        self::$making = $folder;
        try {
            $tables = new \RegexIterator(new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(__DIR__, \FilesystemIterator::SKIP_DOTS | \FilesystemIterator::CURRENT_AS_PATHNAME)), '#/data/[^/]+\.json\z#');
            foreach ($tables as $path) {
                \assert(\is_string($path));
                self::write($folder.'/'.self::madeName($path), self::read($path));
            }
            foreach ($readers as $read) {
                $read();
            }
        } finally {
            self::$making = null;
        }
    }

    /** @return string|null the file of that name, where a build has written one and none is at it */
    private static function ready(string $name): ?string
    {
        $file = self::$made.'/'.$name;

        return null !== self::$made && null === self::$making && is_file($file) ? $file : null;
    }

    private static function write(string $file, mixed $content): void
    {
        file_put_contents($file, '<?php return '.var_export($content, true).";\n");
    }

    private static function madeName(string $path): string
    {
        return strtr(substr($path, \strlen(__DIR__) + 1), '/', '-').'.php';
    }
}
