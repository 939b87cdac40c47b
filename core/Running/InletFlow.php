<?php

declare(strict_types=1);

namespace AwakeShed\Core\Running;

use AwakeShed\Core\Units\Duration;
use AwakeShed\Core\Units\DurationUnit;
use AwakeShed\Core\Units\Edge;
use AwakeShed\Core\Units\FlowUnit;
use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeFlow;
use AwakeShed\Core\Units\VolumeUnit;

/** What a garden tap gives, by bucket and stopwatch, against what a pressure washer's pump takes. */
final readonly class InletFlow
{
    private function __construct(public VolumeFlow $supply, private VolumeFlow $pump, private float $error)
    {
    }

    /**
     * @param Volume     $bucket caught, 0 to 200 L
     * @param Duration   $time   1 s to 30 min
     * @param VolumeFlow $pump   0.2 to 20 US gal/min
     * @param float      $marks  half-width of the bucket's marks as a share, 0 to 0.5
     * @param Duration   $thumb  half-width of the stopwatch, 0 to 10 s
     *
     * @throws ImpossibleAmount when one is outside its interval
     */
    public static function fromBucket(Volume $bucket, Duration $time, VolumeFlow $pump, float $marks, Duration $thumb): self
    {
        ImpossibleAmount::unlessBetween($marks, 0.0, 0.5, '');
        (new Interval(0.0, 10.0, DurationUnit::Second))->demand($thumb);
        (new Interval(0.0, 200.0, VolumeUnit::Litre))->demand($bucket);
        (new Interval(1.0, 1800.0, DurationUnit::Second))->demand($time);
        (new Interval(0.2, 20.0, FlowUnit::GallonPerMinute))->demand($pump);

        return new self(VolumeFlow::during($bucket, $time), $pump, hypot($marks, $thumb->over($time)));
    }

    /** A pump that takes more than comes in sucks air and wears itself out, so it is enough only where the readings' error leaves no doubt. */
    public function isEnough(): bool
    {
        return !Edge::isAtMost($this->margin() - $this->halfWidth(), 1.0);
    }

    /** Too little, whatever the readings err. */
    public function isShort(): bool
    {
        return Edge::isAtMost($this->margin() + $this->halfWidth(), 1.0);
    }

    /** @return float half-width of the margin */
    public function halfWidth(): float
    {
        return $this->margin() * $this->error;
    }

    /** @return float supply over pump flow */
    public function margin(): float
    {
        return $this->supply->over($this->pump);
    }
}
