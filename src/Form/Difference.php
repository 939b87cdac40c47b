<?php

declare(strict_types=1);

namespace AwakeShed\App\Form;

/** One field that two people filled differently, in the reader's words. */
final readonly class Difference
{
    public function __construct(public string $label, public string $mine, public string $saved)
    {
    }
}
