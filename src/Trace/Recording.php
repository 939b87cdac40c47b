<?php

declare(strict_types=1);

namespace AwakeShed\App\Trace;

use AwakeShed\App\Device\Gauge\Gauge;
use AwakeShed\App\Device\Gauge\GaugeReading;
use AwakeShed\App\Device\Gauge\SilentGauge;
use AwakeShed\App\Device\Gauge\TraceKind;
use AwakeShed\App\Once\HeldLease;
use AwakeShed\App\Once\Leases;

/** Reads a gauge into a trace, a handful of samples at a time. */
final readonly class Recording
{
    /** s of the gauge's own time. */
    public const LONGEST = 180.0;

    /** s between two savings: what a killed server can lose. */
    private const CHUNK = 0.4;

    public function __construct(private Gauge $gauge, private TraceRepository $traces, private Leases $leases)
    {
    }

    /**
     * Until the gauge ends, somebody ends it, or it has gone on for so long.
     *
     * @param list<HeldLease>                          $held    kept while it runs; who lost one ends
     * @param \Closure(list<float>, list<float>): bool $heard   told each saved handful, s and SI; false ends it
     * @param float                                    $longest s of the gauge's own time
     *
     * @throws SilentGauge
     */
    public function run(int $trace, TraceKind $kind, string $play, array $held, \Closure $heard, float $longest = self::LONGEST): void
    {
        $times = $values = [];
        $since = hrtime(true);
        $isSimulated = false;
        try {
            foreach ($this->gauge->read($kind, $play) as $reading) {
                \assert($reading instanceof GaugeReading);
                if ($reading->seconds > $longest) {
                    break;
                }
                if ($reading->isSimulated && !$isSimulated) {
                    $isSimulated = true;
                    $this->traces->markSimulated($trace);
                }
                $times[] = $reading->seconds;
                $values[] = $reading->value;
                if ((hrtime(true) - $since) / 1e9 >= self::CHUNK) {
                    if (!$this->traces->append($trace, $times, $values) || !$heard($times, $values) || !$this->leases->keep(...$held)) {
                        $times = $values = [];
                        break;
                    }
                    $times = $values = [];
                    $since = hrtime(true);
                }
            }
        } finally {
            if ([] !== $times) {
                $this->traces->append($trace, $times, $values);
                $heard($times, $values);
            }
            $this->traces->end($trace);
        }
    }
}
