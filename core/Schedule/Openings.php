<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule;

/** When something is there: half-open stretches of minutes, sorted, touching ones merged. */
final readonly class Openings
{
    /** @param list<array{int, int}>|null $stretches null: always */
    private function __construct(public ?array $stretches)
    {
    }

    public static function always(): self
    {
        return new self(null);
    }

    /** @param list<array{int, int}> $stretches each from its first minute to before its last; none: never */
    public static function of(array $stretches): self
    {
        sort($stretches);
        $merged = [];
        $open = null;
        foreach ($stretches as [$from, $to]) {
            if (null !== $open && $from <= $open[1]) {
                $open = [$open[0], max($open[1], $to)];
            } elseif ($from < $to) {
                if (null !== $open) {
                    $merged[] = $open;
                }
                $open = [$from, $to];
            }
        }
        if (null !== $open) {
            $merged[] = $open;
        }

        return new self($merged);
    }

    /** When both are there. */
    public function and(self $other): self
    {
        if (null === $this->stretches) {
            return $other;
        }
        if (null === $other->stretches) {
            return $this;
        }
        $both = [];
        $place = 0;
        $count = \count($other->stretches);
        foreach ($this->stretches as [$from, $to]) {
            while ($place < $count && $other->stretches[$place][1] <= $from) {
                ++$place;
            }
            for ($next = $place; $next < $count && $other->stretches[$next][0] < $to; ++$next) {
                $both[] = [max($from, $other->stretches[$next][0]), min($to, $other->stretches[$next][1])];
            }
        }

        return self::of($both);
    }

    /**
     * When neither the one nor the other is away.
     *
     * @param list<array{int, int}> $stretches
     */
    public function without(array $stretches): self
    {
        $gone = self::of($stretches)->stretches ?? [];
        $left = [];
        $from = \PHP_INT_MIN;
        foreach ($gone as [$begins, $ends]) {
            if ($from < $begins) {
                $left[] = [$from, $begins];
            }
            $from = $ends;
        }
        $left[] = [$from, \PHP_INT_MAX];

        return $this->and(self::of($left));
    }

    /** @return int|null the first minute from then on at which work of so many minutes can begin, without a break or from opening to opening; null where it never ends */
    public function firstStart(int $from, int $minutes, bool $splits): ?int
    {
        if (null === $this->stretches) {
            return $from;
        }
        for ($place = $this->placeFrom($from), $count = \count($this->stretches); $place < $count; ++$place) {
            $start = max($from, $this->stretches[$place][0]);
            if ($splits) {
                return null === $this->endOf($start, $minutes, true) ? null : $start;
            }
            if ($start + $minutes <= $this->stretches[$place][1]) {
                return $start;
            }
        }

        return null;
    }

    /** @return int|null the end of work of so many minutes that begins then; null where it cannot begin then, or never ends */
    public function endOf(int $start, int $minutes, bool $splits): ?int
    {
        if (null === $this->stretches) {
            return $start + $minutes;
        }
        $place = $this->placeFrom($start);
        $first = $this->stretches[$place] ?? null;
        if (null === $first || $first[0] > $start) {
            return null;
        }
        $left = $minutes - ($first[1] - $start);
        if ($left <= 0) {
            return $start + $minutes;
        }
        for (++$place, $count = \count($this->stretches); $splits && $place < $count; ++$place) {
            [$begins, $ends] = $this->stretches[$place];
            if ($left <= $ends - $begins) {
                return $begins + $left;
            }
            $left -= $ends - $begins;
        }

        return null;
    }

    /** Whether work of so many minutes has room in them at all. */
    public function hold(int $minutes, bool $splits): bool
    {
        return null !== $this->firstStart(\PHP_INT_MIN, $minutes, $splits);
    }

    /** @return int minutes of them between two minutes */
    public function minutesBetween(int $from, int $to): int
    {
        if ($to <= $from) {
            return 0;
        }
        $minutes = 0;
        foreach ($this->stretches ?? [[$from, $to]] as [$begins, $ends]) {
            $minutes += max(0, min($to, $ends) - max($from, $begins));
        }

        return $minutes;
    }

    /** The first stretch that is not over at a minute. */
    private function placeFrom(int $minute): int
    {
        $low = 0;
        $high = \count($this->stretches ?? []);
        while ($low < $high) {
            $middle = ($low + $high) >> 1;
            if (($this->stretches[$middle][1] ?? 0) <= $minute) {
                $low = $middle + 1;
            } else {
                $high = $middle;
            }
        }

        return $low;
    }
}
