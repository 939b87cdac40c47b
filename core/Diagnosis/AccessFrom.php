<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Vocabulary;

/** What tests cost from where one machine stands: their own minutes, and what has to come off before. */
final readonly class AccessFrom
{
    /** A test that takes no time would be worth anything. */
    private const LEAST_MINUTES = 0.5;

    /** @var array<string, float> min to open and close, by closed place */
    private array $minutesOf;

    /**
     * @param array<AccessPlace>         $shut    the places that are closed
     * @param array<string, AccessPlace> $placeOf by test
     */
    public function __construct(private Vocabulary $vocabulary, private CaseFile $case, public array $shut, private array $placeOf)
    {
        $minutes = [];
        foreach ($shut as $place) {
            $minutes[$place->id] = $place->minutes($case);
        }
        $this->minutesOf = $minutes;
    }

    /** @return AccessPlace|null what is to be opened before a test, beyond its own minutes; null where nothing is */
    public function shutBefore(string $test): ?AccessPlace
    {
        $place = $this->placeOf[$test] ?? null;

        return null !== $place && isset($this->minutesOf[$place->id]) && \in_array($test, $place->behind, true) ? $place : null;
    }

    public function isShut(string $place): bool
    {
        return isset($this->minutesOf[$place]);
    }

    /** @return list<string> what has to come off before a test */
    public function parts(string $test): array
    {
        return $this->shutBefore($test)?->parts($this->case) ?? [];
    }

    /** @return float min of the test's own from where the machine is, without what has to be opened before */
    public function own(string $test): float
    {
        $place = $this->placeOf[$test] ?? null;
        $saved = null !== $place && !isset($this->minutesOf[$place->id]) ? $place->included($test, $this->case) : 0.0;

        return max(self::LEAST_MINUTES, $this->vocabulary->test($test)->minutes - $saved);
    }

    /** @return float min, all in */
    public function minutes(string $test): float
    {
        return $this->own($test) + $this->wayIn($this->shutBefore($test));
    }

    /** @return float min to open and close a closed place; 0 where there is none */
    public function wayIn(?AccessPlace $place): float
    {
        return null === $place ? 0.0 : $this->minutesOf[$place->id];
    }
}
