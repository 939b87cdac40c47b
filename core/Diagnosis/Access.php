<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Table;

/** What has to be opened before tests, of every kind of machine (data/access.json). */
final readonly class Access
{
    /** @var array<string, AccessPlace> by test */
    private array $placeOf;

    /** @param list<AccessPlace> $places */
    private function __construct(private Vocabulary $vocabulary, private array $places)
    {
        $placeOf = [];
        foreach ($places as $place) {
            $placeOf += array_fill_keys([...$place->behind, ...$place->included], $place);
        }
        $this->placeOf = $placeOf;
    }

    public static function shipped(Vocabulary $vocabulary): self
    {
        /** @var array{places: list<array{id: string, open_where: array<string, string>, minutes: array<string, float|int>, parts: array<string, list<string>>, by_school: array<string, array<string, array{minutes: float|int, parts: list<string>}>>, behind: list<string>, included: list<string>}>} $data */
        $data = Table::read(__DIR__.'/data/access.json');

        return new self($vocabulary, array_map(static fn (array $one): AccessPlace => new AccessPlace($one['id'], $one['open_where'], $one['minutes'], $one['parts'], $one['by_school'], $one['behind'], $one['included']), $data['places']));
    }

    /** What it is from where a machine stands. */
    public function from(CaseFile $case): AccessFrom
    {
        return new AccessFrom($this->vocabulary, $case, array_filter($this->places, static fn (AccessPlace $place): bool => !$place->isOpen($case)), $this->placeOf);
    }
}
