<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

/** One observed outcome as a difference of two products over the faults: no more than it, less no more than the one below. */
final readonly class Term
{
    public float $soundHigh;
    public float $soundLow;

    /** @var array<string, float> by fault that concerns it */
    public array $high;

    /** @var array<string, float> by fault that concerns it */
    public array $low;

    /**
     * @param float        $power  1; less where several outcomes of one test hold and share it
     * @param list<string> $faults that the machine can have
     */
    public function __construct(public Observation $observation, int $place, public float $power, array $faults)
    {
        [$this->soundHigh, $this->soundLow] = $observation->soundBounds($place);
        $high = $low = [];
        foreach ($faults as $fault) {
            if ($observation->concerns($fault)) {
                $high[$fault] = $observation->model->upTo($fault, $place);
                $low[$fault] = $observation->model->upTo($fault, $place - 1);
            }
        }
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
     * @param array<string, float> $beliefs in the other faults
     *
     * @return float how many times likelier it is with the fault than without
     */
    public function ratioFor(string $fault, array $beliefs): float
    {
        [$high, $low] = [$this->soundHigh, $this->soundLow];
        foreach ($this->high as $other => $factor) {
            if ($other !== $fault) {
                $believed = $beliefs[$other] ?? 0.0;
                $high *= 1 - $believed + $believed * $factor;
                $low *= 1 - $believed + $believed * $this->low[$other];
            }
        }

        return max(1e-9, $high * $this->high[$fault] - $low * $this->low[$fault]) / max(1e-9, $high - $low);
    }
}
