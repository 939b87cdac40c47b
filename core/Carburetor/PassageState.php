<?php

declare(strict_types=1);

namespace AwakeShed\Core\Carburetor;

/** What is known of a passage. */
final readonly class PassageState
{
    /** @param list<string> $seen the exits cleaner came out of since it was last blocked */
    public function __construct(public Passage $passage, public array $seen, public bool $isBlocked, public ?int $holesOpen)
    {
    }

    /** @return 'proved'|'partly'|'blocked'|'untried' */
    public function word(): string
    {
        // Holes that are counted say it by themselves: all of them open, or not.
        $isProved = null === $this->passage->holes ? [] === array_diff($this->passage->exits, $this->seen) : $this->holesOpen === $this->passage->holes;

        return match (true) {
            $this->isBlocked => 'blocked',
            $isProved => 'proved',
            [] !== $this->seen || null !== $this->holesOpen => 'partly',
            default => 'untried',
        };
    }

    public function isProved(): bool
    {
        return 'proved' === $this->word();
    }

    /** @return list<string> the holes nothing has come out of yet */
    public function missing(): array
    {
        return array_values(array_diff($this->passage->exits, $this->seen));
    }
}
