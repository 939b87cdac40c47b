<?php

declare(strict_types=1);

namespace AwakeShed\App\Drawing;

use AwakeShed\App\Unit\Measure;
use AwakeShed\Core\Trace\NeedleTrace;
use AwakeShed\Core\Trace\Series;
use AwakeShed\Core\Trace\SpeedTrace;
use AwakeShed\Core\Trace\TracePoint;
use AwakeShed\Core\Units\Quantity;
use AwakeShed\Core\Units\SpeedUnit;

/** A series over time with what was found on it; however many samples there are, two a column are drawn: least and most. */
final readonly class TraceDrawing implements Drawing
{
    public const WIDTH = 720;
    public const HEIGHT = 320;
    public const LEFT = 58;
    public const RIGHT = 704;
    public const TOP = 20;
    public const BOTTOM = 270;

    /**
     * @param string                            $points  of the polyline, two a column where they differ
     * @param list<JarTick>                     $rows    amounts in SI
     * @param list<array{float, float}>         $columns x and seconds
     * @param list<TraceMark>                   $marks
     * @param list<array{float, float, string}> $bands   from and to x, and what they are
     */
    private function __construct(
        public string $title,
        public Measure $measure,
        public string $points,
        public array $rows,
        public array $columns,
        public array $marks,
        public array $bands,
        public ?float $limitLevel,
    ) {
    }

    public static function ofNeedle(NeedleTrace $trace): self
    {
        $marks = array_filter([
            'pop_off' => $trace->popOff,
            'reseat' => $trace->reseat,
            'hold_to' => $trace->holdTo,
        ]);
        $bands = null === $trace->holdFrom || null === $trace->holdTo ? [] : [[$trace->holdFrom->time, $trace->holdTo->time, 'hold']];

        return self::drawn('pressure', Measure::GaugePressure, $trace->series, $marks, $bands, null, 0.0);
    }

    public static function ofSpeed(SpeedTrace $trace): self
    {
        $bands = $trace->series->count() > 0 && $trace->runsTo > $trace->runsFrom ? [[$trace->runsFrom, $trace->runsTo, 'run']] : [];
        $marks = null === $trace->stepAt || null === $trace->loaded ? [] : ['load' => new TracePoint($trace->stepAt, SpeedUnit::Rpm->toSi($trace->loaded->in(SpeedUnit::Rpm)))];

        return self::drawn('speed', Measure::GovernedSpeed, $trace->series, $marks, $bands, null === $trace->limit ? null : SpeedUnit::Rpm->toSi($trace->limit->in(SpeedUnit::Rpm)), null);
    }

    public function template(): string
    {
        return 'trace';
    }

    /** @param float $si as the series has it */
    public function quantity(float $si): Quantity
    {
        $quantity = $this->measure->quantity();
        $unit = $quantity::units()[0];

        return $quantity::of($unit->fromSi($si), $unit);
    }

    /**
     * @param array<string, TracePoint>         $marks  by what they are
     * @param list<array{float, float, string}> $bands  from and to, s
     * @param float|null                        $limit  SI
     * @param float|null                        $bottom SI; null: just below the least sample
     */
    private static function drawn(string $title, Measure $measure, Series $series, array $marks, array $bands, ?float $limit, ?float $bottom): self
    {
        $least = [] === $series->values ? 0.0 : min($series->values);
        $most = max([] === $series->values ? 1.0 : max($series->values), $limit ?? 0.0);
        // What hardly moves is drawn as hardly moving: no less than a hundredth of it is looked at.
        $bottom ??= $least - 0.25 * max(1e-9, 0.04 * $most, $most - $least);
        $bottom = min($bottom, $least);
        $top = $bottom + 1.12 * max(1e-9, $most - $bottom);
        $duration = max(1e-9, $series->duration());
        $x = static fn (float $time): float => round(self::LEFT + (self::RIGHT - self::LEFT) * $time / $duration, 1);
        $level = static fn (float $value): float => round(self::BOTTOM - (self::BOTTOM - self::TOP) * ($value - $bottom) / ($top - $bottom), 1);
        $quantity = $measure->quantity();
        $unit = $quantity::units()[0];
        [$low, $high] = [$unit->fromSi($bottom), $unit->fromSi($top)];
        $rows = array_map(static fn (float $amount): JarTick => new JarTick($level($unit->toSi($amount)), $unit->toSi($amount)), Scale::ticks($low, $high));
        $found = [];
        foreach ($marks as $what => $point) {
            $found[] = new TraceMark($what, $x($point->time), $level($point->value), $point);
        }

        return new self(
            $title,
            $measure,
            self::points($series, $x, $level),
            $rows,
            array_map(static fn (float $seconds): array => [$x($seconds), $seconds], Scale::ticks(0.0, $duration)),
            $found,
            array_map(static fn (array $band): array => [$x($band[0]), $x($band[1]), $band[2]], $bands),
            null === $limit ? null : $level($limit),
        );
    }

    /**
     * @param \Closure(float): float $x
     * @param \Closure(float): float $level
     */
    private static function points(Series $series, \Closure $x, \Closure $level): string
    {
        $points = '';
        $column = null;
        $range = [0.0, 0.0];
        foreach ($series->times as $index => $time) {
            $here = round($x($time));
            if (null !== $column && $here !== $column) {
                $points .= self::pair($column, $range, $level);
                $column = null;
            }
            $value = $series->values[$index];
            $range = null === $column ? [$value, $value] : [min($range[0], $value), max($range[1], $value)];
            $column = $here;
        }

        return trim($points.(null === $column ? '' : self::pair($column, $range, $level)));
    }

    /**
     * @param array{float, float}    $range
     * @param \Closure(float): float $level
     */
    private static function pair(float $column, array $range, \Closure $level): string
    {
        return $range[0] === $range[1]
            ? \sprintf(' %s,%s', $column, $level($range[0]))
            : \sprintf(' %s,%s %s,%s', $column, $level($range[0]), $column, $level($range[1]));
    }
}
