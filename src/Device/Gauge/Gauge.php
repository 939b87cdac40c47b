<?php

declare(strict_types=1);

namespace AwakeShed\App\Device\Gauge;

/** A gauge that is read live: a pressure gauge on a pump, a tachometer, a frequency meter. */
interface Gauge
{
    /**
     * Readings as they come, the first at once; ends when the gauge does.
     *
     * @param string $play what the stand-in is to play, {@see Scenario}; a real gauge has no use for it
     *
     * @return iterable<GaugeReading> null-free and in the order they were taken
     *
     * @throws SilentGauge when there is no gauge, or it says nothing for five seconds
     */
    public function read(TraceKind $kind, string $play): iterable;
}
