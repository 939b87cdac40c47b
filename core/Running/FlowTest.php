<?php

declare(strict_types=1);

namespace AwakeShed\Core\Running;

use AwakeShed\Core\Units\Duration;
use AwakeShed\Core\Units\DurationUnit;
use AwakeShed\Core\Units\FlowUnit;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeFlow;
use AwakeShed\Core\Units\VolumeUnit;

/** Fuel caught from the line in three cups one after the other, and a fourth with the cap open. */
final readonly class FlowTest
{
    /** A fall of more than this share from the first cup to the last is a fade (common practice). */
    private const FADES_FROM = 0.30;

    /** Cap open, it is back when it reaches this share of the first cup. */
    private const BACK_FROM = 0.80;

    /** A line that gives less is not flowing. */
    private const NOTHING_ML_PER_MIN = 1.0;

    /** @param non-empty-list<VolumeFlow> $cups */
    private function __construct(public array $cups, public ?VolumeFlow $capOpen)
    {
    }

    /**
     * @param non-empty-list<Volume> $cups    what each caught, 0 to 5 L, in order
     * @param Duration               $each    how long each stood under the line, 2 s to 10 min
     * @param Volume|null            $capOpen the cup caught right after them with the cap open; null when none was
     *
     * @throws \AwakeShed\Core\Units\ImpossibleAmount when one is outside its interval
     */
    public static function fromCups(array $cups, Duration $each, ?Volume $capOpen = null): self
    {
        return self::timed(array_map(static fn (Volume $cup): array => [$cup, $each], $cups), null === $capOpen ? null : [$capOpen, $each]);
    }

    /**
     * With a watch for each, stopped at a mark.
     *
     * @param non-empty-list<array{Volume, Duration}> $cups    what each caught, 0 to 5 L, and in what time, 2 s to 10 min, in order
     * @param array{Volume, Duration}|null            $capOpen the cup caught right after them with the cap open; null when none was
     *
     * @throws \AwakeShed\Core\Units\ImpossibleAmount when one is outside its interval
     */
    public static function timed(array $cups, ?array $capOpen): self
    {
        $flow = static function (Volume $caught, Duration $time): VolumeFlow {
            (new Interval(2.0, 600.0, DurationUnit::Second))->demand($time);
            (new Interval(0.0, 5_000.0, VolumeUnit::Millilitre))->demand($caught);

            return VolumeFlow::during($caught, $time);
        };

        return new self(array_map(static fn (array $cup): VolumeFlow => $flow(...$cup), $cups), null === $capOpen ? null : $flow(...$capOpen));
    }

    /** The last cup: what the engine would be left with. */
    public function settled(): VolumeFlow
    {
        return $this->cups[\count($this->cups) - 1];
    }

    /** @return float how much of the first cup's flow is gone by the last, 0 to 1 */
    public function fade(): float
    {
        return self::isNothing($this->cups[0]) ? 0.0 : max(0.0, 1 - $this->settled()->over($this->cups[0]));
    }

    public function verdict(FuelNeed $need): FlowTestVerdict
    {
        $fades = $this->fade() > self::FADES_FROM;

        return match (true) {
            self::isNothing($this->cups[0]) => FlowTestVerdict::None,
            $fades && true === $this->recovers() => FlowTestVerdict::Vent,
            $fades && false === $this->recovers() => FlowTestVerdict::FadesCapOrNot,
            $fades => FlowTestVerdict::Fades,
            default => match ($need->metBy($this->settled())) {
                FlowVerdict::Starves => FlowTestVerdict::Starves,
                FlowVerdict::Scant => FlowTestVerdict::Scant,
                FlowVerdict::Ample => FlowTestVerdict::Pours,
            },
        };
    }

    /** @return bool|null whether the open cap brought it back; null when it was not tried */
    public function recovers(): ?bool
    {
        if (null === $this->capOpen || self::isNothing($this->cups[0])) {
            return null;
        }

        return $this->capOpen->over($this->cups[0]) >= self::BACK_FROM;
    }

    private static function isNothing(VolumeFlow $flow): bool
    {
        return $flow->in(FlowUnit::MillilitrePerMinute) < self::NOTHING_ML_PER_MIN;
    }
}
