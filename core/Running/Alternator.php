<?php

declare(strict_types=1);

namespace AwakeShed\Core\Running;

use AwakeShed\Core\Trace\Series;
use AwakeShed\Core\Trace\SeriesFile;
use AwakeShed\Core\Units\Count;
use AwakeShed\Core\Units\CountUnit;
use AwakeShed\Core\Units\Edge;
use AwakeShed\Core\Units\Frequency;
use AwakeShed\Core\Units\FrequencyUnit;
use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\ShaftSpeed;
use AwakeShed\Core\Units\SpeedUnit;

/** A directly coupled alternator: f = n·p/120, n in revolutions a minute, p poles. An inverter's outlet says nothing of its engine. */
final readonly class Alternator
{
    private function __construct(private int $poles)
    {
    }

    /**
     * @param Count $poles 2, 4, 6 or 8
     *
     * @throws ImpossibleAmount for any other number
     */
    public static function withPoles(Count $poles): self
    {
        (new Interval(2.0, 8.0, CountUnit::Each))->demand($poles);
        $number = (int) round($poles->inEach());
        if (0 !== $number % 2 || abs($number - $poles->inEach()) > 1e-9) {
            throw ImpossibleAmount::outside($poles->inEach(), 2, 8, 'poles, in pairs');
        }

        return new self($number);
    }

    /** Of the rated frequency; further off under load, a class would say nothing (common practice). */
    private const OFF_RATED = 0.025;

    /** Whether what it makes under load is what it is rated for, near enough for a class to mean something. */
    public function isAtRated(ShaftSpeed $loaded, Frequency $rated): bool
    {
        return Edge::isAtMost(abs($this->frequency($loaded)->over($rated) - 1), self::OFF_RATED);
    }

    public function frequency(ShaftSpeed $speed): Frequency
    {
        return Frequency::of($speed->in(SpeedUnit::Rpm) * $this->poles / 120, FrequencyUnit::Hertz);
    }

    public function speed(Frequency $frequency): ShaftSpeed
    {
        return ShaftSpeed::of($frequency->in(FrequencyUnit::Hertz) * 120 / $this->poles, SpeedUnit::Rpm);
    }

    /** @return Series of shaft speeds, rad/s, whether the file holds them or the outlet's frequency */
    public function speeds(SeriesFile $file): Series
    {
        return $file->unit instanceof FrequencyUnit ? $file->series->times(2 * \M_PI * 2 / $this->poles) : $file->series;
    }
}
