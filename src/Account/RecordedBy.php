<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

/** Something one person made, and others may have to mend. */
interface RecordedBy
{
    /** @return string by what name they sign in */
    public function madeBy(): string;
}
