<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule;

/** Puts down what has a fixed start, and before it what must have ended by then; of what contradicts itself the later written gives way. */
final class Pins
{
    /** Ways of standing together that are tried before two pins are said to be in each other's way. */
    private const MOST_TRIES = 2000;

    private int $tries = 0;

    private function __construct(private readonly Instance $instance)
    {
    }

    /** @return Builder with the pins in it; what cannot be kept is given up in the instance */
    public static function settle(Instance $instance): Builder
    {
        $pins = new self($instance);
        while ($pins->giveUpOneAgainstItsOrder()) {
        }
        do {
            $builder = $pins->putDown();
        } while (null === $builder);

        return $builder;
    }

    /** One whose time has not come by what it waits for, pinned or not. */
    private function giveUpOneAgainstItsOrder(): bool
    {
        /** @var array<int, int> $end by operation */
        $end = [];
        /** @var array<int, int|null> $cause the pin that puts it where it is */
        $cause = [];
        foreach ($this->instance->order as $at) {
            $from = $this->instance->release[$at];
            $why = null;
            foreach ($this->instance->before[$at] as $first) {
                if ($end[$first] > $from) {
                    $from = $end[$first];
                    $why = $cause[$first];
                }
            }
            $pin = $this->instance->pin[$at];
            if (null === $pin) {
                $cause[$at] = $why;
                $end[$at] = $this->instance->endFrom($at, $from);
                continue;
            }
            $end[$at] = $this->instance->endFrom($at, $pin, true);
            $cause[$at] = $at;
            if ($pin < $from || Instance::NEVER === $end[$at]) {
                $isOthersFault = null !== $why && $this->instance->problem->written[$why] > $this->instance->problem->written[$at] && Instance::NEVER !== $end[$at];
                $this->instance->giveUp($isOthersFault ? $why : $at, WhyNot::PinConflict);

                return true;
            }
        }

        return false;
    }

    /** @return Builder|null null where one was given up and all is to be put down anew */
    private function putDown(): ?Builder
    {
        $builder = new Builder($this->instance);
        $pinned = array_values(array_filter($this->instance->order, fn (int $at): bool => null !== $this->instance->pin[$at]));
        usort($pinned, fn (int $one, int $other): int => $this->instance->problem->written[$one] <=> $this->instance->problem->written[$other]);
        $isGone = [];
        $haveChoices = [] !== array_filter($pinned, fn (int $at): bool => \count($this->instance->ways[$at]) > 1);
        foreach ($pinned as $place => $at) {
            if (isset($isGone[$at]) || $builder->pin($at, $this->instance->pin[$at] ?? 0)) {
                continue;
            }
            // Those before it may stand another way and leave it room.
            $again = $haveChoices ? $this->otherWays($builder, $at, array_values(array_filter(\array_slice($pinned, 0, $place + 1), static fn (int $one): bool => !isset($isGone[$one])))) : null;
            if (null !== $again) {
                $builder = $again;
                continue;
            }
            $isGone[$at] = true;
            $this->instance->unplannable[$at] = WhyNot::PinConflict;
            foreach (array_keys($this->instance->after($at)) as $one) {
                if (Timetable::UNPLACED !== $builder->table->start[$one]) {
                    // What it kept from its place may have room now.
                    $this->instance->reckon();

                    return null;
                }
                $isGone[$one] = true;
            }
        }
        $this->instance->holdBackForPins();
        foreach ($pinned as $at) {
            // Held back, what it may not wait long for finds no opening any more.
            if (isset($this->instance->unplannable[$at]) && Timetable::UNPLACED !== $builder->table->start[$at]) {
                return null;
            }
        }

        return $this->roomBefore($builder);
    }

    /**
     * All of them with those that stand at one place done in other ways, where any of them has one.
     *
     * @param list<int> $pinned
     */
    private function otherWays(Builder $builder, int $at, array $pinned): ?Builder
    {
        $start = $this->instance->pin[$at] ?? 0;
        $end = $this->instance->endFrom($at, $start, true);
        $there = array_filter($pinned, fn (int $one): bool => \count($this->instance->ways[$one]) > 1 && ($one === $at || ($builder->table->start[$one] < $end && $builder->table->end[$one] > $start)));
        $this->tries = 0;
        $again = new Builder($this->instance);

        return [] !== $there && $this->standTogether($again, $pinned, 0) ? $again : null;
    }

    /** @param list<int> $pinned */
    private function standTogether(Builder $builder, array $pinned, int $place): bool
    {
        if ($place === \count($pinned)) {
            return true;
        }
        $at = $pinned[$place];
        foreach (array_keys($this->instance->ways[$at]) as $way) {
            if (++$this->tries > self::MOST_TRIES) {
                return false;
            }
            if ($builder->table->placeAt($at, $this->instance->pin[$at] ?? 0, $way)) {
                if ($this->standTogether($builder, $pinned, $place + 1)) {
                    return true;
                }
                $builder->table->remove($at);
            }
        }

        return false;
    }

    /** Sees whether what must be over before a pin has room. */
    private function roomBefore(Builder $builder): ?Builder
    {
        $first = $this->instance->beforePins();
        $tried = clone $builder;
        foreach ($this->instance->order as $at) {
            // Both pinned, and too far from each other.
            $ends = array_map(static fn (int $one): int => $builder->table->end[$one], $this->instance->before[$at]);
            if ([] !== $ends && null !== $this->instance->pin[$at] && Instance::NEVER !== $this->instance->lag[$at] && !\in_array(Timetable::UNPLACED, $ends, true) && $this->instance->pin[$at] - max($ends) > $this->instance->lag[$at]) {
                $this->instance->giveUp($this->laterWritten([$at, ...$this->instance->before[$at]]), WhyNot::PinConflict);

                return null;
            }
        }
        foreach ($first as $at) {
            if (!$tried->insert($at)) {
                $after = $this->instance->after($at);
                $pinned = array_filter($this->instance->order, fn (int $one): bool => null !== $this->instance->pin[$one] && isset($after[$one]));
                $this->instance->giveUp([] === $pinned ? $at : $this->laterWritten(array_values($pinned)), WhyNot::PinConflict);

                return null;
            }
        }

        return $builder;
    }

    /** @param non-empty-list<int> $pinned */
    private function laterWritten(array $pinned): int
    {
        usort($pinned, fn (int $one, int $other): int => $this->instance->problem->written[$other] <=> $this->instance->problem->written[$one]);

        return $pinned[0];
    }
}
