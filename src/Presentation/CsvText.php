<?php

declare(strict_types=1);

namespace AwakeShed\App\Presentation;

/** Rows as comma separated values. */
final readonly class CsvText
{
    private function __construct()
    {
    }

    /**
     * @param list<string>                     $columns
     * @param iterable<list<string|int|float>> $rows
     */
    public static function fromRows(array $columns, iterable $rows): string
    {
        return implode('', iterator_to_array(self::lines($columns, $rows)));
    }

    /**
     * The same, line by line as its rows are read.
     *
     * @param list<string>                     $columns
     * @param iterable<list<string|int|float>> $rows
     *
     * @return iterable<string>
     */
    public static function lines(array $columns, iterable $rows): iterable
    {
        $file = new \SplTempFileObject();
        $line = static function (array $cells) use ($file): string {
            $file->ftruncate(0);
            $file->rewind();
            $length = (int) $file->fputcsv($cells, escape: '');
            $file->rewind();

            return (string) $file->fread(max(1, $length));
        };
        yield $line($columns);
        foreach ($rows as $cells) {
            yield $line(array_map(static fn (string|int|float $cell): string|int|float => \is_string($cell) ? self::harmless($cell) : $cell, $cells));
        }
    }

    /**
     * Rows of a file from elsewhere: the first line names the columns, commas or semicolons part the cells.
     *
     * @return array{list<string>, iterable<int, array<string, string>>} the columns in lower case; the cells, trimmed, by line
     */
    public static function read(string $text): array
    {
        $file = new \SplTempFileObject();
        $file->fwrite(mb_scrub(ltrim($text, "\xEF\xBB\xBF \t\r\n")));
        $file->rewind();
        $separator = 1 === preg_match('/\A[^\n]*;/', $text) ? ';' : ',';
        $header = $file->fgetcsv($separator, escape: '');
        $columns = array_map(static fn (mixed $name): string => \is_string($name) ? strtolower(trim($name)) : '', \is_array($header) ? array_values($header) : []);
        $rows = (static function () use ($file, $separator, $columns): iterable {
            for ($line = 2; !$file->eof() && false !== $cells = $file->fgetcsv($separator, escape: ''); ++$line) {
                if ([null] !== $cells) {
                    yield $line => array_combine($columns, array_map(static fn (int $index): string => \is_string($cells[$index] ?? null) ? trim($cells[$index]) : '', array_keys($columns)));
                }
            }
        })();

        return [$columns, $rows];
    }

    /** A cell that begins like a formula would be run by a spreadsheet. */
    private static function harmless(string $cell): string
    {
        return 1 === preg_match('/\A[=+\-@\t\r]/', $cell) ? "'".$cell : $cell;
    }
}
