<?php

declare(strict_types=1);

namespace AwakeShed\Core\Gate;

/** One gate of the walk: the looks it is made of. */
final readonly class Gate
{
    /**
     * @param list<string> $needed looks without which the gate is not passed
     * @param list<string> $worth  looks worth the minute
     */
    public function __construct(public string $id, public array $needed, public array $worth)
    {
    }

    /** @return list<string> */
    public function looks(): array
    {
        return [...$this->needed, ...$this->worth];
    }
}
