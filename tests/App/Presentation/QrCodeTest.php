<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Presentation;

use AwakeShed\App\Presentation\QrCode;
use PHPUnit\Framework\TestCase;

final class QrCodeTest extends TestCase
{
    /** What a terminal shows is what a page draws, within a margin of two. */
    public function testIsTheSameOnATerminalAndOnAPage(): void
    {
        $code = QrCode::encoding('https://127.0.0.1:8443/one-time/abc');
        preg_match_all('/M(\d+) (\d+)h1v1h-1z/', $code->path(), $drawn, \PREG_SET_ORDER);
        $squares = array_map(static fn (array $square): string => $square[1].' '.$square[2], $drawn);
        $shown = [];
        foreach (explode("\n", rtrim($code->text(), "\n")) as $line => $text) {
            $cells = mb_str_split($text);
            self::assertCount($code->size() + 4, $cells);
            foreach ($cells as $column => $cell) {
                // Dark above, dark below: what is dark on paper is dark here, whatever the terminal's colors.
                $dark = [' ' => [true, true], '▄' => [true, false], '▀' => [false, true], '█' => [false, false]][$cell] ?? self::fail($cell);
                foreach ($dark as $half => $isDark) {
                    if ($isDark) {
                        $shown[] = ($column - 2).' '.(2 * $line + $half - 2);
                    }
                }
            }
        }
        self::assertNotSame([], $squares);
        self::assertEqualsCanonicalizing($squares, $shown);
    }
}
