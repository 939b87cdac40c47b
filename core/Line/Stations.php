<?php

declare(strict_types=1);

namespace AwakeShed\Core\Line;

use AwakeShed\Core\Diagnosis\Suspect;
use AwakeShed\Core\Evidence\CaseFile;

/** The line in brief: of every element its tone, and what was made last of it and of what is around it. */
final readonly class Stations
{
    /** The room of what sits on no element. */
    private const AROUND = 'machine';

    public function __construct(private Line $line, private ActRooms $rooms)
    {
    }

    /**
     * @param list<Suspect> $suspects what the case is assessed to
     *
     * @return non-empty-array<string, array{tone: string, made: string}> by element, in the order of the line, then what is around it, which has no tone; what nobody touched is made nothing
     */
    public function of(CaseFile $case, array $suspects): array
    {
        $stations = [];
        foreach ($this->line->states($case, $suspects) as $state) {
            $stations[$state->element->value] = ['tone' => $state->tone->value, 'made' => $this->made($state->element->value, $case)];
        }

        return $stations + [self::AROUND => ['tone' => '', 'made' => $this->made(self::AROUND, $case)]];
    }

    /** @return string what was made last of anything in a room; empty where nobody touched anything */
    private function made(string $room, CaseFile $case): string
    {
        $things = $this->rooms->things($room, $case);

        return [] === $things ? '' : $things[array_key_last($things)];
    }
}
