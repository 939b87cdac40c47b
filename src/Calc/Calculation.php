<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** One calculation of the trade, open to the command line; numbers carry their units in their names. */
#[AutoconfigureTag]
interface Calculation
{
    /** By which it is called, e.g. "hydrolock". */
    public function name(): string;

    /** What it answers, in a sentence. */
    public function about(): string;

    /** Where its formula comes from, with the source class. */
    public function source(): string;

    /** @return array<string, CalcInput> by name */
    public function inputs(): array;

    /**
     * @return array<string, mixed>
     *
     * @throws \AwakeShed\Core\Refusal when the inputs are impossible
     */
    public function run(CalcNumbers $in): array;
}
