<?php

declare(strict_types=1);

namespace AwakeShed\Core\Trace;

enum SpeedVerdict: string
{
    case Steady = 'steady';

    /** A swing that comes back every 0.5 to 5 seconds. */
    case Hunts = 'hunts';

    /** It swings as much, without a beat. */
    case Unsteady = 'unsteady';

    /** Past the limit it was given: blades burst. */
    case Overspeeds = 'overspeeds';
    case NotEnough = 'not_enough';

    /** Nothing swings that the samples could show, and a faster hunt would fall between them. */
    case SampledTooSlowly = 'too_slow';

    /** @return string|null outcome of the vocabulary's test `run.steady`; null when it says nothing */
    public function outcome(): ?string
    {
        return match ($this) {
            self::Steady => 'steady',
            self::Hunts, self::Unsteady => 'surges_no_load',
            self::Overspeeds => 'overspeeds',
            self::NotEnough, self::SampledTooSlowly => null,
        };
    }
}
