<?php

declare(strict_types=1);

namespace AwakeShed\Core\Evidence;

/** A test of the vocabulary: where it belongs, how long it takes and what it can say. */
final readonly class TestDefinition
{
    /**
     * @param list<string>|null                $outcomes null: the outcome is a number
     * @param list<string>                     $after    tests that must have been made at all before this one
     * @param array<string, list<string>>|null $excludes of a test of which several answers hold at once: by outcome, those it
     *                                                   does not stand beside; null: one answer at a time
     */
    public function __construct(
        public string $id,
        public string $stage,
        public float $minutes,
        public ?array $outcomes,
        public array $after,
        public ?array $excludes = null,
    ) {
    }

    /** Whether more than one answer may hold at once. */
    public function takesSeveral(): bool
    {
        return null !== $this->excludes;
    }

    /**
     * What a look says once one more answer is tapped: it joins what stands, but for what it excludes; tapped again it is
     * taken out, unless nothing else would be left.
     *
     * @param list<string> $standing
     *
     * @return non-empty-list<string>
     */
    public function afterTap(array $standing, string $tapped): array
    {
        if (null === $this->excludes) {
            return [$tapped];
        }
        $others = array_values(array_diff($standing, [$tapped]));
        if (\in_array($tapped, $standing, true)) {
            return [] === $others ? [$tapped] : $others;
        }

        return [...array_values(array_diff($others, $this->excludes[$tapped] ?? [])), $tapped];
    }

    public function takesNumber(): bool
    {
        return null === $this->outcomes;
    }
}
