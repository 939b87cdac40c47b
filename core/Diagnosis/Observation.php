<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

/** What a test showed, with the faults that were there when it did and have been put right since. */
final readonly class Observation
{
    /**
     * @param list<int>    $places of the outcomes that hold
     * @param list<string> $cured  since it was made
     */
    public function __construct(public string $test, public TestModel $model, public array $places, public array $cured)
    {
    }

    /** @return array{float, float} chances of no more than an outcome, and of less, of a machine with but the faults cured since */
    public function soundBounds(int $place): array
    {
        [$high, $low] = [$this->model->soundUpTo($place), $this->model->soundUpTo($place - 1)];
        foreach ($this->cured as $fault) {
            $high *= $this->model->upTo($fault, $place);
            $low *= $this->model->upTo($fault, $place - 1);
        }

        return [$high, $low];
    }

    /** Whether the fault, being there still, could have shown itself. */
    public function concerns(string $fault): bool
    {
        return isset($this->model->causes[$fault]) && !\in_array($fault, $this->cured, true);
    }
}
