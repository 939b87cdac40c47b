<?php

declare(strict_types=1);

namespace AwakeShed\App\Work;

/** What the last recording of a job's speed says of a surge: by its sound, or by a tachometer. */
final readonly class HeardSurge
{
    /**
     * @param int    $trace its number
     * @param string $says  steady or surges
     * @param float  $swing peak to peak, as a share of the mean
     */
    public function __construct(public int $trace, public \DateTimeImmutable $at, public string $says, public float $swing)
    {
    }
}
