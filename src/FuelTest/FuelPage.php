<?php

declare(strict_types=1);

namespace AwakeShed\App\FuelTest;

use AwakeShed\App\Drawing\JarDrawing;
use AwakeShed\App\Evidence\Record;
use AwakeShed\App\Wait\Wait;
use AwakeShed\Core\Fuel\EthanolContent;
use AwakeShed\Core\Fuel\FuelVerdict;
use AwakeShed\Core\Fuel\JarReading;
use AwakeShed\Core\Fuel\JarSample;
use AwakeShed\Core\Fuel\OldFuelSchool;
use AwakeShed\Core\Fuel\WasteStream;
use AwakeShed\Core\Units\Duration;

/** All that the page of one jar shows; everything but the wait is derived from the jar. */
final readonly class FuelPage
{
    public function __construct(
        public Record $record,
        public JarSample $sample,
        public JarReading $jar,
        public FuelVerdict $verdict,
        public OldFuelSchool $school,
        public WasteStream $stream,
        /** Of what was read; of a usual jar, to be dragged into shape, while nothing is. */
        public JarDrawing $drawing,
        public ?EthanolContent $ethanol,
        public ?WaterBudget $budget,
        public ?Wait $wait,
        public bool $isSettled,
        /** For the height read, or for a jar filled 100 mm high. */
        public Duration $firstLook,
        public Duration $fullWait,
    ) {
    }
}
