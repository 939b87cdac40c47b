<?php

declare(strict_types=1);

namespace AwakeShed\App\Reader;

use AwakeShed\Core\Units\Length;

/** How somebody wants to be shown things; whoever signs in has some. */
interface Preferences
{
    public function getUnits(): UnitSystem;

    public function getLook(): Look;

    /** @return list<Length> the cleaning wires they own */
    public function getWires(): array;
}
