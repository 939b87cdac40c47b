<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Trace;

use AwakeShed\Core\Trace\Series;
use AwakeShed\Core\Units\PressureUnit;
use AwakeShed\Core\Units\SpeedUnit;
use AwakeShed\Tests\Seeded;

/** Traces with known answers in them. */
final class Shapes
{
    /**
     * Pumped up at 2.5 psi a second until it lifts, then left alone.
     *
     * @param float $rate  samples a second
     * @param float $decay share lost a second while it is left alone
     *
     * @return array{list<float>, list<float>} s and Pa
     */
    public static function needle(float $rate, float $seconds = 75, float $pop = 7.6, float $seat = 6.4, float $decay = 0.0, float $noise = 0.05, int $seed = 1): array
    {
        $random = new Seeded($seed);
        $times = $values = [];
        for ($n = 0; $n / $rate <= $seconds; ++$n) {
            $t = $n / $rate;
            $popsAt = $pop / 2.5;
            $psi = $t <= $popsAt ? 2.5 * $t : ($t < $popsAt + 0.15 ? $pop - ($pop - $seat) * ($t - $popsAt) / 0.15 : $seat * exp(-$decay * ($t - $popsAt - 0.15)));
            $times[] = $t;
            $values[] = PressureUnit::Psi->toSi($psi + $random->float(-$noise, $noise));
        }

        return [$times, $values];
    }

    /**
     * @param \Closure(float): float $rpm
     *
     * @return array{list<float>, list<float>} s and rad/s
     */
    public static function speed(float $rate, float $seconds, \Closure $rpm, float $noise = 8, int $seed = 2): array
    {
        $random = new Seeded($seed);
        $times = $values = [];
        for ($n = 0; $n / $rate <= $seconds; ++$n) {
            $times[] = $n / $rate;
            $values[] = SpeedUnit::Rpm->toSi(max(0.0, $rpm($n / $rate) + $random->float(-$noise, $noise)));
        }

        return [$times, $values];
    }

    /** @param array{list<float>, list<float>} $samples */
    public static function series(array $samples): Series
    {
        return Series::fromSamples(...$samples);
    }
}
