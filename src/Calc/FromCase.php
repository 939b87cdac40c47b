<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc;

use AwakeShed\Core\Evidence\CaseFile;

/** A calculation that takes from a job's record what was found already. */
interface FromCase
{
    /** @return array<string, mixed> the core's values, by input; none for what nobody found */
    public function known(CaseFile $case): array;
}
