<?php

declare(strict_types=1);

namespace AwakeShed\App\Presentation;

/** A QR code as squares, for a drawing of ours or for a terminal. */
final readonly class QrCode
{
    /** @param list<list<bool>> $rows true: dark */
    private function __construct(public array $rows)
    {
    }

    /** With error correction M: a tenth of it may be dirty. */
    public static function encoding(string $text): self
    {
        $code = (new \TCPDF2DBarcode($text, 'QRCODE,M'))->getBarcodeArray();
        $rows = \is_array($code) && \is_array($code['bcode'] ?? null) ? $code['bcode'] : [];

        return new self(array_values(array_map(static fn (mixed $row): array => array_values(array_map(static fn (mixed $square): bool => \in_array($square, [1, '1'], true), \is_array($row) ? $row : [])), $rows)));
    }

    public function size(): int
    {
        return \count($this->rows);
    }

    /** All dark squares as one path of unit squares. */
    public function path(): string
    {
        $path = '';
        foreach ($this->rows as $y => $row) {
            foreach ($row as $x => $isDark) {
                $path .= $isDark ? "M{$x} {$y}h1v1h-1z" : '';
            }
        }

        return $path;
    }

    /** Two rows a line, dark on light with a margin, whatever colors the terminal has. */
    public function text(): string
    {
        $size = $this->size();
        $isDark = fn (int $x, int $y): bool => $this->rows[$y][$x] ?? false;
        $lines = [];
        for ($y = -2; $y < $size + 2; $y += 2) {
            $line = '';
            for ($x = -2; $x < $size + 2; ++$x) {
                $line .= match ([$isDark($x, $y), $isDark($x, $y + 1)]) {
                    [true, true] => ' ',
                    [true, false] => '▄',
                    [false, true] => '▀',
                    default => '█',
                };
            }
            $lines[] = $line;
        }

        return implode("\n", $lines)."\n";
    }
}
