<?php

declare(strict_types=1);

namespace AwakeShed\Core\Trace;

/** Order statistics and straight lines through samples. */
final readonly class Statistics
{
    private function __construct()
    {
    }

    /**
     * @param list<float> $values
     *
     * @return float 0 of none
     */
    public static function median(array $values): float
    {
        return self::quantile($values, 0.5);
    }

    /**
     * @param list<float> $values
     * @param float       $share  0 to 1; between two samples it is drawn straight
     *
     * @return float 0 of none
     */
    public static function quantile(array $values, float $share): float
    {
        $count = \count($values);
        if (0 === $count) {
            return 0.0;
        }
        sort($values);
        $place = $share * ($count - 1);
        $below = (int) floor($place);
        $above = min($count - 1, $below + 1);

        return $values[$below] + ($place - $below) * ($values[$above] - $values[$below]);
    }

    /**
     * Where between three values, a step apart, the parabola through them has its top.
     *
     * @param float $top no lower than either
     *
     * @return float steps from the middle one, −0.5 to 0.5
     */
    public static function lean(float $before, float $top, float $after): float
    {
        $curve = $before - 2 * $top + $after;

        return 0.0 === $curve ? 0.0 : 0.5 * ($before - $after) / $curve;
    }

    /**
     * The straight line of least squares, with the error its scatter leaves in the slope.
     *
     * @return array{slope: float, level: float, error: float}|null level at the first sample; null for fewer than three
     */
    public static function line(Series $series): ?array
    {
        $count = $series->count();
        if ($count < 3) {
            return null;
        }
        $first = $series->times[0];
        [$t, $v] = [array_sum($series->times) / $count - $first, array_sum($series->values) / $count];
        $tt = $tv = $vv = 0.0;
        foreach ($series->times as $index => $time) {
            $dt = $time - $first - $t;
            $dv = $series->values[$index] - $v;
            $tt += $dt * $dt;
            $tv += $dt * $dv;
            $vv += $dv * $dv;
        }
        if (0.0 === $tt) {
            return null;
        }
        $slope = $tv / $tt;

        return ['slope' => $slope, 'level' => $v - $slope * $t, 'error' => sqrt(max(0.0, ($vv - $slope * $tv) / ($count - 2) / $tt))];
    }
}
