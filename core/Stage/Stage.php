<?php

declare(strict_types=1);

namespace AwakeShed\Core\Stage;

/** One stage of the work, in the order of its steps. */
final readonly class Stage
{
    /**
     * @param array<string, list<string>>|null $when  any of these must stand for the stage to be needed; null: always
     * @param non-empty-list<Step>             $steps
     */
    public function __construct(public string $id, public ?array $when, public array $steps)
    {
    }
}
