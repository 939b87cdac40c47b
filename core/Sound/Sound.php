<?php

declare(strict_types=1);

namespace AwakeShed\Core\Sound;

/** Sound at a rate just fine enough for an engine's beat; its loudness is in no unit. */
final readonly class Sound
{
    /**
     * @param list<float> $samples about nothing
     * @param float       $rate    Hz
     */
    private function __construct(public array $samples, public float $rate)
    {
    }

    /**
     * @param list<float> $samples
     * @param float       $rate    Hz, 2000 or more, so that the lines of a beat are in it
     */
    public static function fromSamples(array $samples, float $rate): self
    {
        $mean = [] === $samples ? 0.0 : array_sum($samples) / \count($samples);

        return new self(array_map(static fn (float $sample): float => $sample - $mean, $samples), $rate);
    }

    /** @return float s */
    public function duration(): float
    {
        return \count($this->samples) / $this->rate;
    }
}
