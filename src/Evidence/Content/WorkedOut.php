<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence\Content;

/** A calculation made for a job, by what it was told: what it says can be worked out again at any time. */
final readonly class WorkedOut
{
    /**
     * @param string               $calculation by which it is called
     * @param array<string, mixed> $in          as the command line takes them
     */
    public function __construct(public string $calculation, public array $in)
    {
    }

    /** @return array{calculation: string, in: array<string, mixed>} */
    public function toArray(): array
    {
        return ['calculation' => $this->calculation, 'in' => $this->in];
    }

    /** @param array{calculation: string, in: array<string, mixed>} $stored */
    public static function fromArray(array $stored): self
    {
        return new self($stored['calculation'], $stored['in']);
    }
}
