<?php

declare(strict_types=1);

namespace AwakeShed\App\JobPage;

use AwakeShed\Core\Gate\Blocker;

/** What keeps acts closed, and which: the page says each reason once. */
final readonly class ShutActs
{
    /** @param non-empty-list<string> $tests the closed acts, as test ids */
    public function __construct(public Blocker $blocker, public array $tests)
    {
    }

    /**
     * @param array<string, list<Blocker>> $closed by test
     *
     * @return list<self> in the order the reasons first stand
     */
    public static function by(array $closed): array
    {
        $blockers = [];
        $tests = [];
        foreach ($closed as $test => $reasons) {
            foreach ($reasons as $blocker) {
                $key = $blocker->kind->value.$blocker->until;
                $blockers[$key] = $blocker;
                $tests[$key][] = $test;
            }
        }

        return array_values(array_map(static fn (Blocker $blocker, array $acts): self => new self($blocker, $acts), $blockers, $tests));
    }
}
