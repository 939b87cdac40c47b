<?php

declare(strict_types=1);

namespace AwakeShed\Core\Stage;

/** Something done that is no test of the vocabulary: a draining, a flush, a pull, with its figures. */
final readonly class Act
{
    /**
     * @param array<string, float> $figures by the step's field, in the unit its name carries
     * @param string|null          $choice  one of the step's choices
     * @param int                  $after   how many findings and cures of the case came before it
     */
    public function __construct(public string $step, public array $figures = [], public ?string $choice = null, public int $after = 0)
    {
    }

    public function doneAfter(int $events): self
    {
        return new self($this->step, $this->figures, $this->choice, $events);
    }

    /** @return array{step: string, figures: array<string, float>, choice: string|null} */
    public function toArray(): array
    {
        return ['step' => $this->step, 'figures' => $this->figures, 'choice' => $this->choice];
    }

    /** @param array{step: string, figures: array<string, float|int>, choice: string|null} $data */
    public static function fromArray(array $data): self
    {
        return new self($data['step'], array_map(floatval(...), $data['figures']), $data['choice']);
    }
}
