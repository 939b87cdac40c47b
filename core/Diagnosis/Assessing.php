<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

use AwakeShed\Core\Evidence\CaseFile;

/** What the evidence of a case comes to, from whoever works it out or has kept it. */
interface Assessing
{
    public function assess(CaseFile $case): Assessment;

    /** @return array<string, float> how likely each fault is, without reasons, suggestions or the story */
    public function beliefs(CaseFile $case): array;
}
