<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core;

/** Writes a table out as a person reads it: a row a line, what it is of before the colon, what is said of it behind;
 * a bar stands there where several things are said. */
final readonly class TableRows
{
    /** Letters a line may have before what it says is spread over several. */
    private const WIDE = 170;

    private function __construct()
    {
    }

    /** @return list<string> */
    public static function of(mixed $table, string $of = ''): array
    {
        $isSet = \is_array($table) && !array_is_list($table);
        $line = $of.($isSet ? ' | ' : ': ').self::inWords($table, true);
        if ('' !== $of && (!\is_array($table) || [] === $table || mb_strlen($line) <= self::WIDE)) {
            return [$line];
        }
        \assert(\is_array($table));
        $rows = [];
        foreach ($table as $key => $value) {
            $name = \is_array($value) && isset($value['id']) && \is_string($value['id']) && \is_int($key) ? $value['id'] : (string) $key;
            if (\is_array($value) && $name !== (string) $key) {
                unset($value['id']);
            }
            $rows = [...$rows, ...self::of($value, ('' === $of ? '' : $of.' / ').$name)];
        }

        return $rows;
    }

    private static function inWords(mixed $value, bool $isOuter = false): string
    {
        if (!\is_array($value)) {
            return match (true) {
                null === $value => 'nothing',
                \is_bool($value) => $value ? 'yes' : 'no',
                // What looks like something else is said to be a word.
                \is_string($value) => '' === $value || is_numeric($value) || \in_array($value, ['nothing', 'yes', 'no'], true) || 1 === preg_match('/[,;:()\[\]]/', $value) ? '"'.$value.'"' : $value,
                default => json_encode($value, \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION),
            };
        }
        if (array_is_list($value)) {
            return '['.implode(', ', array_map(self::inWords(...), $value)).']';
        }
        $said = implode('; ', array_map(static fn (int|string $key, mixed $one): string => $key.' '.self::inWords($one), array_keys($value), $value));

        return $isOuter ? $said : '('.$said.')';
    }
}
