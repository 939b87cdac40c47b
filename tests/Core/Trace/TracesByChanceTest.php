<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Trace;

use AwakeShed\Core\Trace\NeedleTrace;
use AwakeShed\Core\Trace\Series;
use AwakeShed\Core\Trace\SpeedTrace;
use AwakeShed\Core\Trace\Statistics;
use AwakeShed\Core\Units\Pressure;
use AwakeShed\Core\Units\PressureUnit;
use AwakeShed\Core\Units\ShaftSpeed;
use AwakeShed\Core\Units\SpeedUnit;
use AwakeShed\Tests\Kept;
use AwakeShed\Tests\Seeded;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * What is read off traces that nobody would record on purpose, kept in tests/Core/Kept: short, coarse, let go of halfway, with
 * readings that fall on the edges of what is looked for.
 */
final class TracesByChanceTest extends TestCase
{
    /** @return iterable<string, array{\Closure(): iterable<string>}> */
    public static function traces(): iterable
    {
        yield 'series' => [static function (): iterable {
            for ($seed = 1; $seed <= 80; ++$seed) {
                $dice = new Seeded($seed);
                $times = $values = [];
                $time = $dice->int(0, 3) / 2;
                for ($n = $dice->int(0, 14); $n > 0; --$n) {
                    $times[] = $time += $dice->one(0 === $seed % 2 ? [0.5, 0.5, 0.5, 0.25, 1.0, 6.0, 0.0, -0.75] : [0.25, 0.25, 0.25, 0.25, 2.5, 2.75]);
                    $values[] = (float) $dice->one([3, 3, 3, 4, 4, 5, 12, -7, 0 === $seed % 9 ? 2e10 : 3.5]);
                }
                yield "$seed: ".self::samples($series = Series::fromSamples($times, $values)).', step '.Kept::figure($series->step()).', long '.Kept::figure($series->duration())
                    .', gaps '.implode(' ', array_map(static fn (array $gap): string => implode('–', $gap), $series->gaps()));
                yield '  in bins '.self::samples($series->binned(0.5)).' and '.self::samples($series->binned(0.7)).', smooth '.self::samples($series->smoothed()).', without spikes '.self::samples($series->despiked());
                yield '  in part '.self::samples($series->between(1, 3)).', lower quarter '.Kept::figure(Statistics::quantile($series->values, 0.25)).', line '.implode(' ', array_map(Kept::figure(...), Statistics::line($series) ?? []));
            }
        }];
        yield 'needles' => [static function (): iterable {
            for ($seed = 1; $seed <= 300; ++$seed) {
                $dice = new Seeded($seed);
                $rate = $dice->one([1, 2, 3, 5, 10, 40]);
                [$scatter, $spikes] = [$dice->one([0, 0, 0.03, 0.1, 0.3]), $dice->one([0, 0, 0.02])];
                $times = $values = [];
                [$time, $psi] = [0.0, $dice->one([0.0, 0.0, 0.0, 1.2])];
                for ($parts = $dice->int(1, 6), $part = 0; $part < $parts; ++$part) {
                    [$slope, $seconds] = match (0 === $part ? 0 : $dice->int(0, 7)) {
                        0, 1 => [$dice->float(0.8, 6), $dice->float(0.5, 3)],
                        2 => [0.0, $dice->float(0.5, 70)],
                        3 => [-$dice->float(0, 3) / 60, $dice->float(3, 70)],
                        4, 5 => [-$dice->float(0.4, 5) / 0.3, 0.3],
                        6 => [$dice->float(0, 2) / 60, $dice->float(3, 30)],
                        default => [-$psi / 0.3, 0.3],
                    };
                    for ($n = max(1, (int) round($seconds * $rate)); $n > 0; --$n) {
                        $psi = max(0.0, $psi + $slope / $rate);
                        $times[] = $time += 1 / $rate;
                        $spike = $dice->float(0, 1) < $spikes ? $dice->float(-2, 2) : 0.0;
                        $values[] = PressureUnit::Psi->toSi($psi + $spike + $dice->float(-$scatter, $scatter));
                    }
                }
                yield "$seed, $rate a second: ".self::needle(NeedleTrace::fromPressures(Series::fromSamples($times, $values), $dice->one([null, Pressure::psi(0.2), Pressure::psi(0.5)])));
            }
        }];
        yield 'needles-in-steps' => [static function (): iterable {
            // All readings are quarters, so that a fall, a rise or a wait is now and then just what is looked for.
            for ($seed = 1; $seed <= 300; ++$seed) {
                $dice = new Seeded($seed);
                $each = $dice->one([0.25, 0.25, 0.25, 0.5, 1.0, 3.0]);
                $whole = max(1, (int) (1 / $each));
                $times = $values = [];
                [$time, $psi] = [0.0, $dice->one([0.0, 0.25, 0.75, 1.0])];
                for ($parts = $dice->int(1, 6), $part = 0; $part < $parts; ++$part) {
                    [$moves, $count] = match (0 === $part ? $dice->int(0, 2) : $dice->int(0, 9)) {
                        0, 1 => [[0.25, 0.5, 1.0, 0.0], $dice->int(1, 16)],
                        2 => [[0.5, -0.25], $dice->int(2, 9)],
                        3, 4 => [[0.0], $dice->one([5, 60]) * $whole + $dice->int(-2, 2)],
                        5 => [[0.0], $dice->int(1, 12)],
                        6 => [[0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, -0.25], $dice->int(8, 80)],
                        7, 8 => [[-0.5, -0.25, -1.5], $dice->int(1, 2)],
                        default => [[-$psi], 1],
                    };
                    for (; $count > 0; --$count) {
                        $values[] = PressureUnit::Psi->toSi($psi = max(0.0, $psi + $dice->one($moves)));
                        $times[] = $time += $each;
                    }
                }
                yield "$seed, every $each s: ".self::needle(NeedleTrace::fromPressures(Series::fromSamples($times, $values)));
            }
        }];
        yield 'speeds' => [static function (): iterable {
            for ($seed = 1; $seed <= 160; ++$seed) {
                $dice = new Seeded($seed);
                $rate = $dice->one([2, 5, 8, 10, 25]);
                $shown = $dice->one([1, 10, 50]);
                $times = $values = [];
                $time = 0.0;
                for ($part = $dice->int(1, 5); $part > 0; --$part) {
                    [$mean, $swing, $period, $slope] = [$dice->one([0, 600, 2900, 3000, 3050, 3600, 3750]), $dice->one([0, 0, 40, 80, 150]), $dice->float(0.3, 7), $dice->one([0, 0, 0, 15, -40])];
                    for ($n = (int) round($dice->float(0.5, 14) * $rate); $n >= 0; --$n) {
                        $times[] = $time += 1 / $rate;
                        $spike = 0 === $dice->int(0, 60) ? $dice->float(-600, 600) : 0.0;
                        $values[] = SpeedUnit::Rpm->toSi(max(0.0, round(($mean + $swing * sin(2 * \M_PI * $time / $period) + $slope * $n / $rate + $spike) / $shown) * $shown));
                    }
                }
                $rpm = static fn (?int $speed): ?ShaftSpeed => null === $speed ? null : ShaftSpeed::of($speed, SpeedUnit::Rpm);
                yield "$seed, $rate a second: ".self::speed(SpeedTrace::fromSpeeds(Series::fromSamples($times, $values), $rpm($dice->one([null, null, 3000, 3600])), $rpm($dice->one([null, 3600]))));
            }
        }];
        yield 'speeds-with-loads' => [static function (): iterable {
            // Few samples of a load put on or taken off, or nearly.
            for ($seed = 1; $seed <= 200; ++$seed) {
                $dice = new Seeded($seed);
                [$each, $apart, $scatter, $hunt] = [$dice->one([0.125, 0.25, 0.5]), $dice->one([20, 37, 37.5, 38, 60, 150, -150]), $dice->one([0, 0, 5, 20, 60]), $dice->one([0, 0, 100])];
                $times = $values = [];
                [$time, $rpm] = [0.0, 3750.0];
                foreach ([$dice->int(4, 60), $dice->int(4, 60), $dice->one([0, 0, 6])] as $samples) {
                    for (; $samples > 0; --$samples) {
                        $times[] = $time += $each;
                        $values[] = SpeedUnit::Rpm->toSi($rpm + $dice->int(-1, 1) * $scatter + $hunt * sin(2 * \M_PI * $time / 1.5));
                    }
                    $rpm -= $apart;
                }
                yield "$seed, every $each s: ".self::speed(SpeedTrace::fromSpeeds(Series::fromSamples($times, $values)));
            }
        }];
        yield 'needles-as-recorded' => [static function (): iterable {
            foreach ([[10, 7.6, 6.4, 0.0], [10, 7.6, 6.4, 0.0008], [50, 7.2, 6.1, 0.003], [50, 9.8, 4.6, 0.0004], [100, 12.0, 6.4, 0.0002], [200, 8.4, 7.0, 0.02], [20, 7.6, 6.4, 0.1], [5, 7.6, 6.4, 0.0006], [50, 7.6, 5.2, 0.0009]] as $n => [$rate, $pop, $seat, $decay]) {
                foreach ([75, 25, 8] as $seconds) {
                    $trace = NeedleTrace::fromPressures(Shapes::series(Shapes::needle($rate, $seconds, $pop, $seat, $decay, 0.04, $n)), 0 === $n % 2 ? null : Pressure::psi(0.2));
                    yield "$rate a second, lifts $pop, seats $seat, loses $decay, $seconds s: ".self::needle($trace);
                }
            }
        }];
        yield 'speeds-as-recorded' => [static function (): iterable {
            $shapes = [
                'steady' => static fn (float $t): float => 3100.0,
                'hunts' => static fn (float $t): float => 3150 * (1 + 0.06 * sin(2 * \M_PI * $t / 1.8)),
                'hunts a little' => static fn (float $t): float => 3150 * (1 + 0.026 * sin(2 * \M_PI * $t / 0.9)),
                'wanders' => static fn (float $t): float => 3150 * (1 + 0.05 * sin(2 * \M_PI * $t / 24)),
                'takes a load' => static fn (float $t): float => $t < 20 ? 3735 : 3600 - 150 * exp(-($t - 20) / 0.4),
                'lets a load go' => static fn (float $t): float => $t < 20 ? 3560.0 : 3740 + 90 * exp(-($t - 20) / 0.6),
                'starts' => static fn (float $t): float => $t < 4 ? 350.0 : 3100.0,
                'dies' => static fn (float $t): float => $t < 25 ? 3050.0 : 3050 * exp(-($t - 25)),
                'climbs' => static fn (float $t): float => 2800 + 20 * $t,
                'takes a load at the end' => static fn (float $t): float => $t < 36.5 ? 3700.0 : 3500.0,
                'let go of at the start' => static fn (float $t): float => $t < 3.2 ? 3500.0 : 3700.0,
                'takes a load that hardly shows' => static fn (float $t): float => $t < 17 ? 3700.0 : 3661 - 0.4 * $t,
                'hunts under load' => static fn (float $t): float => $t < 14 ? 3720.0 : 3480 * (1 + 0.03 * sin(2 * \M_PI * $t / 1.4)),
                'surges now and then' => static fn (float $t): float => 3100 + (fmod($t, 7) < 1.2 ? 260 * sin(2 * \M_PI * fmod($t, 7) / 1.2) : 0),
            ];
            foreach ($shapes as $name => $rpm) {
                foreach ([[50, 40, null], [10, 60, 3456], [4, 40, null], [200, 12, 3700]] as $n => [$rate, $seconds, $limit]) {
                    $trace = SpeedTrace::fromSpeeds(Shapes::series(Shapes::speed($rate, $seconds, $rpm, 12, $n)), null === $limit ? null : ShaftSpeed::of($limit, SpeedUnit::Rpm), 3 === $n ? ShaftSpeed::of(3600, SpeedUnit::Rpm) : null);
                    yield "$name, $rate a second, $seconds s: ".self::speed($trace);
                }
            }
        }];
    }

    /** @param \Closure(): iterable<string> $traces */
    #[DataProvider('traces')]
    public function testIsReadAsItWas(\Closure $traces): void
    {
        Kept::is(\dirname(__DIR__)."/Kept/trace-{$this->dataName()}.txt", $traces());
    }

    private static function samples(Series $series): string
    {
        return $series->count().' '.implode(' ', array_map(static fn (float $time, float $value): string => Kept::figure($time).':'.Kept::figure($value), $series->times, $series->values));
    }

    private static function needle(NeedleTrace $trace): string
    {
        return "{$trace->verdict->value}, peak ".Kept::figure($trace->peak->inPsi())
            .', lifts '.Kept::figure($trace->popOff?->time).' at '.Kept::figure($trace->popOff?->value).', seats '.Kept::figure($trace->reseat?->time).' at '.Kept::figure($trace->reseat?->value)
            .', holds from '.Kept::figure($trace->holdFrom?->time).' to '.Kept::figure($trace->holdTo?->time).', loses '.Kept::figure($trace->lossPerMinute?->inPsi()).' ± '.Kept::figure($trace->lossError?->inPsi())
            .', half-life '.Kept::figure($trace->halfLife?->inSeconds()).', time constant '.Kept::figure($trace->timeConstant()?->inSeconds()).($trace->isExtrapolated() ? ', extrapolated' : '');
    }

    private static function speed(SpeedTrace $trace): string
    {
        return "{$trace->verdict->value}, mean ".Kept::figure($trace->mean->in(SpeedUnit::Rpm)).', swing '.Kept::figure($trace->swing).', beat '.Kept::figure($trace->beat?->inSeconds())
            .', runs '.Kept::figure($trace->runsFrom).' to '.Kept::figure($trace->runsTo).', step '.Kept::figure($trace->stepAt).' from '.Kept::figure($trace->noLoad?->in(SpeedUnit::Rpm)).' to '.Kept::figure($trace->loaded?->in(SpeedUnit::Rpm))
            .', fastest '.Kept::figure($trace->fastest->in(SpeedUnit::Rpm)).', sees '.Kept::figure($trace->shortestSeen->inSeconds()).', droop '.Kept::figure($trace->droop()).', class '.($trace->performanceClass()->value ?? 'none')
            .($trace->isSampledWell() ? ', sampled well' : '').($trace->leavesPartOut ? ', part left out' : '');
    }
}
