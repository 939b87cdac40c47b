<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence\Content;

use AwakeShed\Core\Carburetor\Bench;
use AwakeShed\Core\Carburetor\Move;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\EventFormat;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\PutRight;

/**
 * Something was done at a bench of the job, with what it says in the vocabulary's words.
 *
 * @phpstan-import-type MoveArray from Move
 *
 * @phpstan-type BenchArray array{move: MoveArray, events: list<array<string, mixed>>, bench?: string}
 */
final readonly class BenchMove implements Content
{
    /** @param list<Finding|PutRight|Done> $events */
    public function __construct(public Move $move, private array $events = [], public Bench $bench = Bench::Carburetor)
    {
    }

    public function kind(): ContentKind
    {
        return ContentKind::BenchMove;
    }

    public function events(): array
    {
        return $this->events;
    }

    /** @return BenchArray */
    public function toArray(): array
    {
        return ['move' => $this->move->toArray(), 'events' => Events::toArray($this->events), 'bench' => $this->bench->value];
    }

    /** @param BenchArray $stored */
    public static function fromArray(array $stored, EventFormat $events): self
    {
        return new self(Move::fromArray($stored['move']), Events::fromArray($stored['events'], $events), Bench::from($stored['bench'] ?? Bench::Carburetor->value));
    }
}
