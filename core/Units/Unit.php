<?php

declare(strict_types=1);

namespace AwakeShed\Core\Units;

/** A unit of one dimension: how its amounts go to and from SI, and how people write it. */
interface Unit extends \UnitEnum
{
    /** The symbol shown beside an amount, e.g. "mL". */
    public function symbol(): string;

    /**
     * Every spelling accepted after a typed number, lower case and without spaces.
     *
     * @return non-empty-list<string>
     */
    public function spellings(): array;

    public function toSi(float $amount): float;

    public function fromSi(float $si): float;
}
