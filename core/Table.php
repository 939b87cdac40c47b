<?php

declare(strict_types=1);

namespace AwakeShed\Core;

/** A table that ships as JSON beside the code that reads it; what is in it is checked by a test of its own. */
final readonly class Table
{
    private const DEEPEST = 16;

    private function __construct()
    {
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
        return json_decode((string) file_get_contents($path), true, self::DEEPEST, \JSON_THROW_ON_ERROR);
    }
}
