<?php

declare(strict_types=1);

namespace AwakeShed\App\Form;

use AwakeShed\App\Unit\Measure;
use AwakeShed\Core\Units\Interval;

/** What a field of an amount asks for: its measure, and what it may be, in the options of its form. */
final readonly class AmountAsked
{
    private function __construct(
        public Measure $measure,
        /** Outside of it an amount is refused. */
        public ?Interval $possible,
        /** Outside of it the form asks. */
        public ?Interval $usual,
        /** A row of so many readings at most; null for one amount. */
        public ?int $most,
    ) {
    }

    /** @param array<string, mixed> $options */
    public static function in(array $options): self
    {
        $measure = $options['measure'];
        \assert($measure instanceof Measure);
        $possible = $options['possible'] ?? null;
        \assert(null === $possible || $possible instanceof Interval);
        $usual = $options['usual'] ?? null;
        \assert(null === $usual || $usual instanceof Interval);
        $most = $options['most'] ?? null;
        \assert(null === $most || \is_int($most));

        return new self($measure, $possible, $usual, $most);
    }
}
