<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

/** What one fault may add to a job. */
final readonly class QuotedFault
{
    /**
     * @param float $chance that it is there, 0 to 1
     * @param float $least  dollars its cure costs, labor and parts
     */
    public function __construct(public float $chance, public float $least, public float $most)
    {
    }

    /** @return float dollars, on the average over its being there or not */
    public function expected(): float
    {
        return $this->chance * ($this->least + $this->most) / 2;
    }
}
