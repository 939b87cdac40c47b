<?php

declare(strict_types=1);

namespace AwakeShed\Core\Proving;

/** One thing that must be in, on or off a machine before its cord is touched, and what is known of it. */
final readonly class Within
{
    /**
     * @param string       $thing   as the state names it
     * @param bool|null    $isReady null where nobody knows
     * @param string       $state   what is known of it, a word of the things' own
     * @param list<string> $until   acts and looks that make it ready
     */
    public function __construct(public string $thing, public ?bool $isReady, public string $state, public array $until)
    {
    }
}
