<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence\Content;

use AwakeShed\Core\Stage\Act;

/**
 * A step of the work that is no test was done.
 *
 * @phpstan-type StepArray array{step: string, figures: array<string, float|int>, choice: string|null}
 */
final readonly class StepDone implements Content
{
    public function __construct(public Act $act)
    {
    }

    public function kind(): ContentKind
    {
        return ContentKind::StepDone;
    }

    public function events(): array
    {
        return [];
    }

    /** @return StepArray */
    public function toArray(): array
    {
        return $this->act->toArray();
    }

    /** @param StepArray $stored */
    public static function fromArray(array $stored): self
    {
        return new self(Act::fromArray($stored));
    }
}
