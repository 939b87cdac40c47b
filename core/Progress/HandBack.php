<?php

declare(strict_types=1);

namespace AwakeShed\Core\Progress;

/** What stands between a machine and home: what refuses it, and what is to be answered for. */
final readonly class HandBack
{
    /**
     * @param list<string>                  $holds     that stand
     * @param bool                          $isDrained the crankcase is without its oil
     * @param "cause_unknown"|"needle"|null $cause     why liquid would return
     * @param list<string>                  $open      acts and looks by which it is whole again
     * @param list<string>                  $unproved  faults
     * @param list<string>                  $left      tests of the proof run
     * @param list<RaisedAsk>               $asks
     */
    public function __construct(public array $holds, public bool $isDrained, public ?string $cause, public array $open, public array $unproved, public array $left, public array $asks)
    {
    }

    /** Whether it does not go home whatever anybody says. */
    public function isRefused(): bool
    {
        return [] !== $this->holds || $this->isDrained || null !== $this->cause;
    }

    /**
     * Whether somebody has to say why it goes as it is.
     *
     * @param list<string> $gonePast asks that somebody has given a reason for
     */
    public function wantsReason(array $gonePast): bool
    {
        $asks = array_filter($this->asks, static fn (RaisedAsk $raised): bool => !\in_array($raised->ask->value, $gonePast, true));

        return [] !== $this->open || [] !== $this->unproved || [] !== $this->left || [] !== $asks;
    }
}
