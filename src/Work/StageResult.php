<?php

declare(strict_types=1);

namespace AwakeShed\App\Work;

use AwakeShed\App\Drawing\BarDrawing;
use AwakeShed\App\Drawing\CylinderDrawing;
use AwakeShed\App\Drawing\JarDrawing;
use AwakeShed\Core\Cylinder\PullLog;
use AwakeShed\Core\Oil\Dilution;
use AwakeShed\Core\Oil\FlushPlan;
use AwakeShed\Core\Service\ServiceList;
use AwakeShed\Core\Units\Volume;

/** What the figures of a stage come to, where they come to anything. */
final readonly class StageResult
{
    /**
     * @param array<string, array<string, string>> $given    what a calculator is told, by its name
     * @param array<string, string>                $amounts
     * @param list<string>                         $settings
     */
    public function __construct(
        public ?PullLog $pulls = null,
        public ?CylinderDrawing $cylinder = null,
        public ?Dilution $dilution = null,
        public ?FlushPlan $plan = null,
        public array $given = [],
        public ?Volume $oilUsed = null,
        public ?BarDrawing $dilutions = null,
        public ?JarDrawing $jar = null,
        /** Area, and so flow, after over before. */
        public ?float $jetFlow = null,
        public ?ProvingSheet $proving = null,
        /** By the last recording of its speed, where there is one of these minutes. */
        public ?HeardSurge $heard = null,
        public ?ServiceList $service = null,
        /** By step, how much of what and how long. */
        public array $amounts = [],
        /** What is set otherwise for a season, and from when. */
        public array $settings = [],
    ) {
    }
}
