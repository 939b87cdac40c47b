<?php

declare(strict_types=1);

namespace AwakeShed\Core\Evidence;

/**
 * One thing seen, or said by the owner, in the vocabulary's words. Whether the words are the vocabulary's is
 * checked where findings come in, {@see Vocabulary::check()}.
 */
final readonly class Finding
{
    /**
     * @param list<string>         $outcomes empty when the outcome is a number
     * @param array<string, mixed> $measured readings behind it, their units in the keys
     * @param array<string, mixed> $extras   keys of a read case file that mean nothing here, kept for writing
     */
    private function __construct(
        public string $test,
        public array $outcomes,
        public ?float $number,
        public array $measured = [],
        public array $extras = [],
    ) {
    }

    public static function observed(string $test, string $outcome, string ...$more): self
    {
        return new self($test, array_values(array_unique([$outcome, ...$more])), null);
    }

    public static function number(string $test, float $number): self
    {
        return new self($test, [], $number);
    }

    /** @param array<string, mixed> $measured */
    public function measuring(array $measured): self
    {
        return new self($this->test, $this->outcomes, $this->number, $measured, $this->extras);
    }

    /** @param array<string, mixed> $extras */
    public function carrying(array $extras): self
    {
        return new self($this->test, $this->outcomes, $this->number, $this->measured, $extras);
    }

    /** Said by the owner, not seen. */
    public function isClaim(): bool
    {
        return str_starts_with($this->test, 'claim.');
    }

    /** @param list<string> $outcomes */
    public function saysAnyOf(array $outcomes): bool
    {
        return [] !== array_intersect($this->outcomes, $outcomes);
    }

    /** @return string|list<string>|float|int the outcome as the case format writes it */
    public function outcome(): string|array|float|int
    {
        if (null !== $this->number) {
            return $this->number === floor($this->number) && abs($this->number) < 1e9 ? (int) $this->number : $this->number;
        }

        return 1 === \count($this->outcomes) ? $this->outcomes[0] : $this->outcomes;
    }
}
