<?php

declare(strict_types=1);

namespace AwakeShed\Core\Progress;

/** Where a job has got to, and what moves it on. */
final readonly class JobProgress
{
    /**
     * @param list<string> $waitsFor ids of tests and acts, the next first; of a fault, where only a cure moves it on
     * @param string|null  $why      the hold that stops it
     */
    public function __construct(public Progress $progress, public array $waitsFor, public ?string $why = null)
    {
    }

    /** The one thing to do next: the id of a test, an act or a fault; null where nothing is left to do. */
    public function next(): ?string
    {
        return $this->waitsFor[0] ?? null;
    }
}
