<?php

declare(strict_types=1);

namespace AwakeShed\Core\Trace;

use AwakeShed\Core\Units\DurationUnit;
use AwakeShed\Core\Units\Unit;

/**
 * A series as text: a header with two columns and their units, "t [s],p [psi]" or "time_ms;speed_rpm", then a sample a
 * line. Comma, semicolon or tab part the columns; where they are not commas, a decimal comma is read.
 */
final readonly class SeriesFile
{
    /** Such a cell is a sample the gauge did not give. */
    private const MISSING = ['', 'nan', 'null', 'na', '-'];

    private const LONGEST_SHOWN = 60;

    /** @param Unit $unit of the values as they were written */
    private function __construct(public Series $series, public Unit $unit, /** Samples without a value. */ public int $missing)
    {
    }

    public static function fromSeries(Series $series, Unit $unit): self
    {
        return new self($series, $unit, 0);
    }

    /**
     * @param string               $text  UTF-8
     * @param non-empty-list<Unit> $units the value may be in
     *
     * @throws UnreadableSeries with the line at fault
     */
    public static function parse(string $text, array $units): self
    {
        $line = strtok(ltrim($text, "\xEF\xBB\xBF \t\r\n"), "\r\n");
        if (false === $line) {
            throw UnreadableSeries::empty();
        }
        $separator = self::separator($line);
        $names = explode($separator, $line);
        if (2 !== \count($names)) {
            throw UnreadableSeries::header(self::shown($line));
        }
        $clock = self::unitOf($names[0], [...DurationUnit::cases()], $line);
        $unit = self::unitOf($names[1], $units, $line);
        // Every unit a gauge writes is a multiple of the SI unit, so one factor a column serves 200 000 samples.
        [$seconds, $si] = [$clock->toSi(1.0), $unit->toSi(1.0)];
        $hasCommas = ',' !== $separator;
        $times = $values = [];
        $missing = 0;
        for ($number = 2; false !== $line = strtok("\r\n"); ++$number) {
            if ($hasCommas) {
                $line = str_replace(',', '.', $line);
            }
            $cells = explode($separator, $line, 3);
            $time = trim($cells[0]);
            $value = trim($cells[1] ?? '');
            if (2 === \count($cells) && is_numeric($time) && is_numeric($value)) {
                $times[] = (float) $time * $seconds;
                $values[] = (float) $value * $si;
                if (!Series::isPossible($times[\count($times) - 1], $values[\count($values) - 1])) {
                    throw UnreadableSeries::impossible($number, self::shown($line));
                }
                if (\count($times) > Series::MOST_SAMPLES) {
                    throw UnreadableSeries::tooLong(Series::MOST_SAMPLES);
                }
            } elseif (is_numeric($time) && \in_array(strtolower($value), self::MISSING, true)) {
                ++$missing;
            } elseif ('' !== trim($line)) {
                throw UnreadableSeries::line($number, self::shown($line));
            }
        }
        if ([] === $times) {
            throw UnreadableSeries::empty();
        }

        return new self(Series::fromSamples($times, $values), $unit, $missing);
    }

    public static function print(Series $series, Unit $unit): string
    {
        $lines = [\sprintf('t [s],value [%s]', $unit->spellings()[0])];
        foreach ($series->times as $index => $time) {
            $lines[] = \sprintf('%s,%s', round($time, 6), round($unit->fromSi($series->values[$index]), 6));
        }

        return implode("\n", $lines)."\n";
    }

    /** @return non-empty-string */
    private static function separator(string $header): string
    {
        foreach (["\t", ';'] as $separator) {
            if (str_contains($header, $separator)) {
                return $separator;
            }
        }

        return ',';
    }

    /**
     * @template U of Unit
     *
     * @param non-empty-list<U> $units
     *
     * @return U
     *
     * @throws UnreadableSeries
     */
    private static function unitOf(string $name, array $units, string $header): Unit
    {
        if (1 !== preg_match('/[\[(]\s*([^\])]+?)\s*[\])]\s*\z|_([^_\s]+)\s*\z/u', trim($name, " \t\""), $found)) {
            throw UnreadableSeries::header(self::shown($header));
        }
        $typed = mb_strtolower('' !== $found[1] ? $found[1] : $found[2] ?? '');
        foreach ($units as $unit) {
            if (\in_array($typed, $unit->spellings(), true)) {
                return $unit;
            }
        }

        throw UnreadableSeries::unit(self::shown($typed), implode(', ', array_map(static fn (Unit $unit): string => $unit->spellings()[0], $units)));
    }

    private static function shown(string $text): string
    {
        return mb_substr(mb_scrub($text), 0, self::LONGEST_SHOWN);
    }
}
