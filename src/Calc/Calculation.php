<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc;

use AwakeShed\App\Calc\Input\Input;
use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** One calculation of the trade, for the command line and for its page; its words are in translations/calc. */
#[AutoconfigureTag]
interface Calculation
{
    /** By which it is called, e.g. "hydrolock". */
    public function name(): string;

    public function topic(): Topic;

    /** The vocabulary's test it belongs to, whose gates come before it; null for mere arithmetic. */
    public function act(): ?string;

    /** @return array<string, Input> by name; a number carries its unit in it */
    public function inputs(): array;

    /** @throws \AwakeShed\Core\Refusal when the inputs are impossible together */
    public function run(Given $in): Answer;
}
