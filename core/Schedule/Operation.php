<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule;

/** One piece of work of a job. */
final readonly class Operation
{
    /**
     * @param int                          $minutes     1 or more
     * @param list<array{string, int}>     $uses        resources with the units taken of each
     * @param list<non-empty-list<string>> $oneOf       alternatives, of which one is taken, one unit of each; none: there is nothing to choose
     * @param list<string>                 $after       operations that must have ended
     * @param int|null                     $atMostAfter minutes it may wait since the last of them ended; null: any
     * @param int|null                     $pinned      fixed start
     * @param bool                         $splits      it may be broken where what it uses closes
     * @param string|null                  $batchKey    only its like go into one cycle with it
     */
    public function __construct(
        public string $id,
        public string $job,
        public int $minutes,
        public array $uses = [],
        public array $oneOf = [],
        public array $after = [],
        public ?int $atMostAfter = null,
        public ?int $pinned = null,
        public bool $splits = false,
        public ?string $batchKey = null,
    ) {
    }

    /** @return non-empty-list<list<array{string, int}>> what it takes, alternative by alternative */
    public function ways(): array
    {
        if ([] === $this->oneOf) {
            return [$this->uses];
        }

        return array_map(fn (array $way): array => [...$this->uses, ...array_map(static fn (string $resource): array => [$resource, 1], $way)], $this->oneOf);
    }
}
