<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

final readonly class VolumeFlow extends AdditiveQuantity
{
    /** @throws ImpossibleAmount when not finite, or when no time has passed */
    public static function during(Volume $volume, Duration $time): self
    {
        return self::of($volume->inMillilitres() / $time->over(Duration::of(1, DurationUnit::Minute)), FlowUnit::MillilitrePerMinute);
    }

    public static function units(): array
    {
        return FlowUnit::cases();
    }
}
