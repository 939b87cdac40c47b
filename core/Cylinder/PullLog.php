<?php

declare(strict_types=1);

namespace AwakeShed\Core\Cylinder;

use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeUnit;

/** Pulls with the plug out, and what each threw; three to five or more, until nothing comes (common practice). */
final readonly class PullLog
{
    private const LEAST_PULLS = 3;

    /** A few drops are what a wet cylinder always gives. */
    private const NOTHING_ML = 0.5;

    /** @param list<Volume> $pulls in order */
    private function __construct(private array $pulls)
    {
    }

    /**
     * @param list<Volume> $pulls what each threw, 0 to 500 mL
     *
     * @throws \AwakeShed\Core\Units\ImpossibleAmount when one is outside that
     */
    public static function fromPulls(array $pulls): self
    {
        foreach ($pulls as $thrown) {
            (new Interval(0.0, 500.0, VolumeUnit::Millilitre))->demand($thrown);
        }

        return new self($pulls);
    }

    public function count(): int
    {
        return \count($this->pulls);
    }

    public function thrown(): Volume
    {
        return array_reduce($this->pulls, static fn (Volume $sum, Volume $pull): Volume => $sum->plus($pull), Volume::zero());
    }

    /** Enough pulls, and the last of them threw nothing to speak of. */
    public function isDry(): bool
    {
        $last = $this->pulls[$this->count() - 1] ?? null;

        return $this->count() >= self::LEAST_PULLS && null !== $last && $last->inMillilitres() <= self::NOTHING_ML;
    }
}
