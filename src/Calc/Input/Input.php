<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc\Input;

use AwakeShed\App\Form\ChipChoices;
use AwakeShed\App\Unit\Quantities;
use Symfony\Component\Form\FormTypeInterface;

/** One thing a calculation is told: read from JSON on the command line, from a field on its page. */
interface Input
{
    /**
     * @param string $about in words
     *
     * @return array<string, mixed> as JSON Schema
     */
    public function schema(string $about): array;

    /**
     * @param mixed $json what was given; null when nothing was
     *
     * @return mixed the core's value; null for an optional input that was not given
     *
     * @throws UnreadableInput
     */
    public function read(mixed $json): mixed;

    /** @return mixed what {@see read()} makes the same value of; null for none */
    public function write(mixed $value): mixed;

    /** It must be given: it is neither optional nor has it a default. */
    public function isRequired(): bool;

    /** @return mixed the core's value that is taken when nothing is given */
    public function default(): mixed;

    /**
     * The field it is on a page.
     *
     * @return array{class-string<FormTypeInterface<*>>, array<string, mixed>}|null form type and options; null for what
     *                                                                          cannot be typed
     */
    public function field(Quantities $quantities, ChipChoices $choices): ?array;
}
