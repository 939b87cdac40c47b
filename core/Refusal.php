<?php

declare(strict_types=1);

namespace AwakeShed\Core;

/**
 * An input the core will not compute with, said so that any caller can pass it on in its reader's words.
 *
 * The exception's own message is plain English for logs and the command line; pages translate the code
 * and fill in the figures.
 */
interface Refusal extends \Throwable
{
    /** Stable, dotted name of what is wrong, e.g. "amount.out_of_range". */
    public function reason(): string;

    /**
     * The figures of the sentence: the value refused and the interval allowed, with their unit symbols.
     *
     * @return array<string, string|int|float>
     */
    public function figures(): array;
}
