<?php

declare(strict_types=1);

namespace AwakeShed\App\Work;

use AwakeShed\App\Show\CylinderDrawing;
use AwakeShed\Core\Cylinder\PullLog;
use AwakeShed\Core\Oil\Dilution;
use AwakeShed\Core\Oil\FlushPlan;
use AwakeShed\Core\Units\Volume;

/** What the figures of a stage come to, where they come to anything. */
final readonly class StageSaying
{
    /** @param array<string, string> $flushIn what the calculator of the flush plan is told */
    public function __construct(
        public ?PullLog $pulls = null,
        public ?CylinderDrawing $cylinder = null,
        public ?Dilution $dilution = null,
        public ?FlushPlan $plan = null,
        public array $flushIn = [],
        public ?Volume $oilUsed = null,
    ) {
    }
}
