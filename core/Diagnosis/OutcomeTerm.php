<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

/** One observed outcome as a difference of two products over the faults: no more than it, less no more than the one below. */
final readonly class OutcomeTerm
{
    /** So that no factor is divided by nothing. */
    private const MOST_BELIEVED = 1 - 1e-12;
    private const LEAST = 1e-9;

    public float $soundHigh;
    public float $soundLow;

    /** @var array<string, float> by fault that concerns it */
    public array $high;

    /** @var array<string, float> by fault that concerns it */
    public array $low;

    /**
     * @param float                $power  1; less where several outcomes of one test hold and share it
     * @param array<string, mixed> $faults that the machine can have, as keys
     * @param array<string, mixed> $seen   of them, those that are there for sure, as keys
     */
    public function __construct(public Observation $observation, int $place, public float $power, array $faults, array $seen = [])
    {
        [$soundHigh, $soundLow] = $observation->soundBounds($place);
        $high = $low = [];
        foreach (array_diff_key(array_intersect_key($observation->model->causes, $faults), array_flip($observation->cured)) as $fault => $upTo) {
            [$noMore, $less] = [$upTo[$place], $upTo[$place - 1] ?? 0.0];
            if (isset($seen[$fault])) {
                $soundHigh *= $noMore;
                $soundLow *= $less;
            } else {
                $high[$fault] = $noMore;
                $low[$fault] = $less;
            }
        }
        $this->soundHigh = $soundHigh;
        $this->soundLow = $soundLow;
        $this->high = $high;
        $this->low = $low;
    }

    /** Whether the lower product is there at all; of the least alarming outcome it is nothing. */
    public function isSplit(): bool
    {
        return $this->soundLow > 0.0;
    }

    /** @return float chance that a sound machine shows it */
    public function soundness(): float
    {
        return $this->soundHigh - $this->soundLow;
    }

    /**
     * How many times likelier it is with each fault than without, the others being as likely as they are believed.
     *
     * @param array<string, float> $beliefs
     *
     * @return array<string, float> by fault that concerns it
     */
    public function ratios(array $beliefs): array
    {
        // With all but one: the product of all, less that one's own part.
        [$high, $low] = [$this->soundHigh, $this->soundLow];
        $own = [];
        foreach ($this->high as $fault => $factor) {
            $believed = min($beliefs[$fault] ?? 0.0, self::MOST_BELIEVED);
            $own[$fault] = [1 - $believed + $believed * $factor, 1 - $believed + $believed * $this->low[$fault]];
            $high *= $own[$fault][0];
            $low *= $own[$fault][1];
        }
        $ratios = [];
        foreach ($own as $fault => [$ownHigh, $ownLow]) {
            $ratios[$fault] = max(self::LEAST, $high / $ownHigh * $this->high[$fault] - $low / $ownLow * $this->low[$fault]) / max(self::LEAST, $high / $ownHigh - $low / $ownLow);
        }

        return $ratios;
    }
}
