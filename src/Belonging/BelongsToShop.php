<?php

declare(strict_types=1);

namespace AwakeShed\App\Belonging;

/** A row of one shop among those of an installation. */
interface BelongsToShop
{
    /** Once; a row never changes hands. */
    public function belongTo(int $shop): void;

    public function shop(): int;
}
