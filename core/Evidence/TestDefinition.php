<?php

declare(strict_types=1);

namespace AwakeShed\Core\Evidence;

/** A test of the vocabulary: where it belongs, how long it takes and what it can say. */
final readonly class TestDefinition
{
    /**
     * @param list<string>|null $outcomes null: the outcome is a number
     * @param list<string>      $after    tests that must have been made at all before this one
     */
    public function __construct(
        public string $id,
        public string $stage,
        public float $minutes,
        public ?array $outcomes,
        public array $after,
    ) {
    }

    public function takesNumber(): bool
    {
        return null === $this->outcomes;
    }
}
