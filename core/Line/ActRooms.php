<?php

declare(strict_types=1);

namespace AwakeShed\Core\Line;

use AwakeShed\Core\Evidence\ActDefinition;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Table;

/** In which room of the line each act is recorded (data/act-rooms.json). */
final readonly class ActRooms
{
    /** @param array<string, string> $rooms by thing */
    private function __construct(private array $rooms, private Vocabulary $vocabulary)
    {
    }

    public static function shipped(Vocabulary $vocabulary): self
    {
        /** @var array{rooms: array<string, string>} $data */
        $data = Table::read(__DIR__.'/data/act-rooms.json');

        return new self($data['rooms'], $vocabulary);
    }

    public function roomOf(ActDefinition $act): string
    {
        return $this->rooms[$act->thing];
    }

    /** @return array<string, string> thing => what was made of it, of all that was touched in a room, the last touched last */
    public function things(string $room, CaseFile $case): array
    {
        return array_filter($case->things(), fn (string $thing): bool => $this->rooms[$thing] === $room, \ARRAY_FILTER_USE_KEY);
    }

    /** @return list<ActDefinition> what can be done in a room of this machine */
    public function in(string $room, MachineFacts $machine): array
    {
        return array_values(array_filter($this->vocabulary->acts, fn (ActDefinition $act): bool => $this->rooms[$act->thing] === $room && $this->vocabulary->canBeDone($act, $machine)));
    }
}
