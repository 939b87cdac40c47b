<?php

declare(strict_types=1);

namespace AwakeShed\Core\Evidence;

/**
 * What is in the machine now, thing by thing, as far as the record says it: nothing is assumed done, and what nobody
 * has touched has no state at all.
 */
final readonly class MachineState
{
    /** The place among the events of what never was: before all of them. */
    public const NEVER = -1;

    /**
     * @param array<string, string> $states by thing, the last
     * @param array<string, string> $places by thing: on, off, in, out
     * @param array<string, int>    $things by thing, the place of the last act on it among the events
     * @param array<string, int>    $acts   by act, the place of its last doing among the events
     * @param array<string, int>    $counts by act, how often it was done
     */
    public function __construct(public array $states = [], private array $places = [], private array $things = [], private array $acts = [], private array $counts = [])
    {
    }

    public function stateOf(string $thing): ?string
    {
        return $this->states[$thing] ?? null;
    }

    /** @return string|null on, off, in or out; null where nobody has said */
    public function place(string $thing): ?string
    {
        return $this->places[$thing] ?? null;
    }

    /** @return int the place of the last act on a thing among the events; NEVER when nobody has touched it */
    public function touched(string $thing): int
    {
        return $this->things[$thing] ?? self::NEVER;
    }

    /** @return int the place of an act's last doing among the events; NEVER when it was never done */
    public function last(string ...$acts): int
    {
        return max([self::NEVER, ...array_map(fn (string $act): int => $this->acts[$act] ?? self::NEVER, array_values($acts))]);
    }

    /** How often it was done. */
    public function count(string $act): int
    {
        return $this->counts[$act] ?? 0;
    }

    /** Whether any of them was done. */
    public function was(string ...$acts): bool
    {
        return [] !== array_intersect_key($this->acts, array_flip($acts));
    }
}
