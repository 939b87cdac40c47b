<?php

declare(strict_types=1);

namespace AwakeShed\Core\Proving;

/** What a shop wants of a start before a machine goes home: within so many pulls, after standing cold so long. */
final readonly class HouseStandard
{
    /** The question of the schools that says which. */
    public const QUESTION = 'cold_start';

    /**
     * @param int $pulls 1 or more
     * @param int $hours that it stood cold before
     */
    private function __construct(public int $pulls, public int $hours)
    {
    }

    /** @param array<string, string> $schools that are followed */
    public static function followed(array $schools): ?self
    {
        return 1 === preg_match('/^pulls_(\d+)_hours_(\d+)$/', $schools[self::QUESTION] ?? '', $said) ? new self((int) $said[1], (int) $said[2]) : null;
    }

    public function isMetBy(Attempt $attempt): bool
    {
        // An electric start is not counted in pulls: that it catches is what is asked.
        return 'runs' === $attempt->outcome && $this->isCold($attempt) && ($attempt->figures['pulls'] ?? 1.0) <= $this->pulls;
    }

    public function isCold(Attempt $attempt): bool
    {
        return ($attempt->figures['stood_h'] ?? 0.0) >= $this->hours;
    }
}
