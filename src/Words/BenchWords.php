<?php

declare(strict_types=1);

namespace AwakeShed\App\Words;

use AwakeShed\Core\Carburetor\Move;
use AwakeShed\Core\Carburetor\Part;
use AwakeShed\Core\Carburetor\PartKind;

/** The words of the carburetor bench (translations/strip.*). */
final readonly class BenchWords
{
    public function __construct(private Catalogue $catalogue)
    {
    }

    /** A word of the carburetor bench: of a part, passage, hole, method, … */
    public function word(string $group, string $id): string
    {
        return $this->catalogue->find("$group.$id", 'strip') ?? Catalogue::spelledOut($id);
    }

    /**
     * @param list<\BackedEnum> $cases
     *
     * @return array<string, string> value => its word
     */
    public function all(string $group, array $cases): array
    {
        $values = array_map(static fn (\BackedEnum $case): string => (string) $case->value, $cases);

        return array_combine($values, array_map(fn (string $value): string => $this->word($group, $value), $values));
    }

    /** A part on the mat by its name, its own or its kind's. */
    public function part(Part $part): string
    {
        return '' !== $part->name ? $part->name : $this->word('part', (string) $part->kind);
    }

    public function partKind(PartKind $kind): string
    {
        return '' !== $kind->name ? $kind->name : $this->word('part', $kind->id);
    }

    /** What was done at the carburetor bench, e.g. "Off: bowl (place 9)". */
    public function move(Move $move): string
    {
        $said = [];
        foreach ($move->said() as $field => $value) {
            $said[] = match ($field) {
                'name', 'orientation', 'hole', 'turns', 'bore', 'size', 'screws', 'remark', 'holes' => \in_array($field, ['name', 'holes'], true) ? $value : $this->word('note', $field).' '.$value,
                'template', 'reason' => $value,
                'exit' => $this->word('port', $value),
                'kind' => $this->word('part', $value),
                default => $this->word($field, $value),
            };
        }
        $place = null === $move->place() ? '' : ' '.$this->catalogue->say('(place %place%)', ['%place%' => $move->place()]);

        return $this->word('move', $move->kind()->value).([] === $said ? '' : ': '.implode(', ', $said)).$place;
    }
}
