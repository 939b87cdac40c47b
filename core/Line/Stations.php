<?php

declare(strict_types=1);

namespace AwakeShed\Core\Line;

use AwakeShed\Core\Diagnosis\Suspect;
use AwakeShed\Core\Evidence\CaseFile;

/** The line in brief: of every element its tone, and what was made of it last. */
final readonly class Stations
{
    public function __construct(private Line $line, private ActRooms $rooms)
    {
    }

    /**
     * @param list<Suspect> $suspects what the case is assessed to
     *
     * @return non-empty-array<string, array{tone: string, made: string}> by element, in the order of the line; what nobody touched is made nothing
     */
    public function of(CaseFile $case, array $suspects): array
    {
        $stations = [];
        foreach ($this->line->states($case, $suspects) as $state) {
            $things = $this->rooms->things($state->element->value, $case);
            $stations[$state->element->value] = ['tone' => $state->tone->value, 'made' => [] === $things ? '' : $things[array_key_last($things)]];
        }

        return $stations;
    }
}
