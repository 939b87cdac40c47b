<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use AwakeShed\Core\Schedule\Day\Hands;
use AwakeShed\Core\Schedule\Day\LearnedTime;
use AwakeShed\Core\Schedule\Day\PieceKinds;
use AwakeShed\Core\Schedule\Operation;
use AwakeShed\Core\Schedule\PlanJob;
use AwakeShed\Core\Schedule\Problem;
use AwakeShed\Core\Schedule\SharedResource;

/** A machine that nobody has brought yet: what one takes that has stood, of which nothing else is known. */
final readonly class TypicalJob
{
    public const ID = 'new';

    /** What most of them take: looked over, its carburetor cleaned, run and proved (common practice). */
    private const PIECES = ['gates', 'fuel', 'settle', 'cause', 'strip', 'bath', 'refit', 'first_run', 'stands_cold', 'proof', 'hand_over'];

    public function __construct(private PieceKinds $kinds)
    {
    }

    /** @param array<string, LearnedTime> $times */
    public function handMinutes(array $times): int
    {
        $minutes = 0;
        foreach (self::PIECES as $piece) {
            $kind = $this->kinds->kind($piece);
            $minutes += Hands::Nobody === $kind->hands ? 0 : (int) round($kind->minutes * $times[$piece]->factor);
        }

        return $minutes;
    }

    /**
     * @param array<string, LearnedTime> $times
     *
     * @return array{Problem, array<string, float>} the problem with one more, behind all that is there, and the spreads of its times
     */
    public function behind(Problem $problem, array $times): array
    {
        $people = array_values(array_map(static fn (SharedResource $one): array => [$one->id], array_filter($problem->resources, static fn (SharedResource $one): bool => $one->isPerson)));
        $minutes = 1;
        foreach ($problem->resources as $resource) {
            $minutes = Workplace::BATH === $resource->id ? $resource->cycle ?? 1 : $minutes;
        }
        $operations = $spreads = [];
        $last = [];
        foreach (self::PIECES as $piece) {
            $kind = $this->kinds->kind($piece);
            $id = self::ID.'.'.$piece;
            $uses = [...array_map(static fn (string $resource): array => [$resource, 1], $kind->uses), ...$kind->isBath ? [[Workplace::BATH, 1]] : []];
            $hands = Hands::Nobody === $kind->hands ? [] : $people;
            $operations[] = new Operation($id, self::ID, $kind->isBath ? $minutes : max(1, (int) round($kind->minutes * $times[$piece]->factor)), $uses, $hands, $last, splits: $kind->splits, batchKey: $kind->isBath ? WorkToPlan::MIX : null);
            $spreads[$id] = $times[$piece]->spread;
            $last = [$id];
        }

        return [$problem->changed(jobs: [...$problem->jobs, new PlanJob(self::ID)], operations: [...$problem->asWritten(), ...$operations]), $spreads];
    }
}
