<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

/** Something one person made, and others may have to mend. */
interface RecordedBy
{
    public function getBy(): Member;
}
