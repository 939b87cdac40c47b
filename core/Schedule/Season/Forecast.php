<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule\Season;

/**
 * How many machines will come in a week, from the weeks of years before: the same weeks of the year, evened out over
 * their neighbours, at the level of late. Beside it stands the plain average of all weeks, and the forecast is believed
 * only where it would have been nearer in the weeks that are known.
 */
final readonly class Forecast
{
    private const WEEKS = 52;

    /** Shares with which a week counts and its neighbours (invented). */
    private const EVENED = [-2 => 0.1, -1 => 0.2, 0 => 0.4, 1 => 0.2, 2 => 0.1];

    /** Weeks by which a season is learned before it is tried: a whole year. */
    private const LEARNED = 52;

    /** @param list<int> $weeks machines that came, week by week, the oldest first, the last one whole */
    private function __construct(private array $weeks)
    {
    }

    /** @param list<int> $weeks machines that came, week by week, the oldest first, the last one whole */
    public static function from(array $weeks): self
    {
        return new self($weeks);
    }

    /** @return float machines in a week, as all weeks were */
    public function average(): float
    {
        return self::mean($this->weeks);
    }

    /** @return float machines in the week so many from now, 1 being the next */
    public function expected(int $ahead): float
    {
        return $this->isBetter() ? self::seasonal($this->weeks, $ahead) : $this->average();
    }

    /** Whether the season would have been nearer than the average in the weeks since the first year. */
    public function isBetter(): bool
    {
        [$seasonal, $plain] = $this->errors();

        return null !== $seasonal && $seasonal < $plain;
    }

    /** @return array{float|null, float} mean distance from what came, of the season and of the average, each told only what was known before; null where no year is known */
    public function errors(): array
    {
        $seasonal = $plain = [];
        foreach ($this->weeks as $week => $came) {
            $known = \array_slice($this->weeks, 0, $week);
            if ($week >= self::LEARNED) {
                $seasonal[] = abs(self::seasonal($known, 1) - $came);
                $plain[] = abs(self::mean($known) - $came);
            }
        }

        return [[] === $seasonal ? null : self::mean($seasonal), self::mean($plain)];
    }

    /** @param list<int> $weeks */
    private static function seasonal(array $weeks, int $ahead): float
    {
        $last = \count($weeks) - 1 + $ahead;
        $sum = $share = 0.0;
        for ($year = $last - self::WEEKS; $year >= -2; $year -= self::WEEKS) {
            foreach (self::EVENED as $beside => $counts) {
                if (isset($weeks[$year + $beside])) {
                    $sum += $counts * $weeks[$year + $beside];
                    $share += $counts;
                }
            }
        }

        return $share > 0.0 ? $sum / $share : self::mean($weeks);
    }

    /** @param list<int|float> $numbers */
    private static function mean(array $numbers): float
    {
        return [] === $numbers ? 0.0 : array_sum($numbers) / \count($numbers);
    }
}
