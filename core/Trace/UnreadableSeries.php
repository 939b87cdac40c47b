<?php

declare(strict_types=1);

namespace AwakeShed\Core\Trace;

use AwakeShed\Core\StatedRefusal;

/** A file of samples that cannot be read, with the line at fault. */
final class UnreadableSeries extends StatedRefusal
{
    public static function tooLong(int $most): self
    {
        return new self('series.too_long', \sprintf('More than %d samples.', $most), ['most' => $most]);
    }

    public static function uneven(int $times, int $values): self
    {
        return new self('series.uneven', \sprintf('%d times and %d values.', $times, $values), ['times' => $times, 'values' => $values]);
    }

    public static function empty(): self
    {
        return new self('series.empty', 'There is no sample in it.');
    }

    /** The first line must name two columns with their units. */
    public static function header(string $line): self
    {
        return new self('series.header', \sprintf('The first line must name two columns with their units, e.g. "t [s],p [psi]"; it is "%s".', $line), ['line' => $line]);
    }

    public static function unit(string $unit, string $allowed): self
    {
        return new self('series.unit', \sprintf('The unit "%s" is not known here; known are %s.', $unit, $allowed), ['unit' => $unit, 'allowed' => $allowed]);
    }

    /** @param int $line counted from 1, the header being the first */
    public static function line(int $line, string $text): self
    {
        return new self('series.line', \sprintf('Line %d is no time and value: "%s".', $line, $text), ['line' => $line, 'text' => $text]);
    }

    /** @param int $line counted from 1, the header being the first */
    public static function impossible(int $line, string $text): self
    {
        return new self('series.impossible', \sprintf('Line %d is what no gauge can say: "%s".', $line, $text), ['line' => $line, 'text' => $text]);
    }
}
