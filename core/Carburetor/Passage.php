<?php

declare(strict_types=1);

namespace AwakeShed\Core\Carburetor;

/** A passage of a carburetor: the hole that is sprayed, and the holes it ought to come out of. */
final readonly class Passage
{
    /**
     * @param non-empty-list<string> $exits
     * @param string                 $circuit inlet, main, emulsion, pilot or vent: what answers for which symptom
     * @param float|null             $boreMm  usual
     * @param string|null            $test    the vocabulary's test that says the same
     * @param int|null               $holes   that are counted
     */
    public function __construct(public string $id, public string $entry, public array $exits, public string $circuit, public ?float $boreMm, public ?string $test, public ?int $holes)
    {
    }
}
