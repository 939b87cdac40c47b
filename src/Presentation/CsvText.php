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
        $file = new \SplTempFileObject();
        $file->fputcsv($columns, escape: '');
        foreach ($rows as $cells) {
            $file->fputcsv(array_map(static fn (string|int|float $cell): string|int|float => \is_string($cell) ? self::harmless($cell) : $cell, $cells), escape: '');
        }
        $file->rewind();

        $lines = '';
        while (!$file->eof()) {
            $lines .= $file->fgets();
        }

        return $lines;
    }

    /** A cell that begins like a formula would be run by a spreadsheet. */
    private static function harmless(string $cell): string
    {
        return 1 === preg_match('/\A[=+\-@\t\r]/', $cell) ? "'".$cell : $cell;
    }
}
