<?php

declare(strict_types=1);

namespace AwakeShed\App\Work;

use AwakeShed\App\Account\Shops;
use AwakeShed\App\Device\Weather\Weather;
use AwakeShed\App\Evidence\Record;
use AwakeShed\App\Spec\SpecBook;
use AwakeShed\App\Trace\TraceRepository;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Progress\ProofRun;
use AwakeShed\Core\Proving\Attempt;
use AwakeShed\Core\Proving\ExpectedSmoke;
use AwakeShed\Core\Proving\FirstRun;
use AwakeShed\Core\Proving\SpeedLimit;
use AwakeShed\Core\Proving\SurgeWatch;
use AwakeShed\Core\Spec\SpecFigure;
use AwakeShed\Core\Trace\SpeedTrace;
use AwakeShed\Core\Trace\SpeedVerdict;
use Psr\Clock\ClockInterface;

/** Reads the sheet of a first run, and of the proof, off a job's record. */
final readonly class ProvingSheets
{
    /** A recording of these minutes. */
    private const JUST = '-10 minutes';

    public function __construct(private TraceRepository $traces, private Weather $weather, private Shops $shops, private SpecBook $book, private ClockInterface $clock)
    {
    }

    public function of(Record $record): ProvingSheet
    {
        $case = $record->case();
        $now = $this->clock->now();
        $figures = $this->book->lookUp($case->machine, $record->job->getMachine()->getSpec());

        return new ProvingSheet(
            FirstRun::isIn($case),
            ExpectedSmoke::of($case),
            self::attempts($record),
            SurgeWatch::of($record->acts()),
            ProofRun::coldStart($case),
            SpeedLimit::of($case->machine, self::whole($figures->find(SpecFigure::Poles)?->value->amount), $figures->find(SpecFigure::RatedFrequency)?->value->amount),
            $this->weather->at($now),
            !$this->shops->usesStandIns(),
            self::stoodHours($record, $now),
        );
    }

    /** What a microphone or a tachometer has just said is not tapped from memory. */
    public function heard(Record $record): ?HeardSurge
    {
        $trace = $this->traces->lastSpeedOf($record->job, $this->clock->now()->modify(self::JUST));
        if (null === $trace || ($trace->isSimulated() && !$this->shops->usesStandIns())) {
            return null;
        }
        $speed = SpeedTrace::fromSpeeds($trace->series());
        $says = match ($speed->verdict) {
            SpeedVerdict::Steady => 'steady',
            SpeedVerdict::Hunts, SpeedVerdict::Unsteady => 'surges',
            SpeedVerdict::Overspeeds, SpeedVerdict::NotEnough, SpeedVerdict::SampledTooSlowly => null,
        };

        return null === $says ? null : new HeardSurge($trace->getId(), $trace->getAt(), $says, $speed->swing);
    }

    /** @return float|null hours since the engine ran last, by this record; null where it never did */
    public static function stoodHours(Record $record, \DateTimeImmutable $now): ?float
    {
        foreach (array_reverse($record->counting()) as $entry) {
            foreach ($record->eventsOf($entry) as $event) {
                $ran = match (true) {
                    $event instanceof Done => 'engine.ran' === $event->act->id,
                    $event instanceof Finding => str_starts_with($event->test, 'run.') || (Attempt::TEST === $event->test && $event->saysAnyOf(['runs', 'runs_rough'])),
                    default => false,
                };
                if ($ran) {
                    return round(($now->getTimestamp() - $entry->at->getTimestamp()) / 3600, 2);
                }
            }
        }

        return null;
    }

    /** @return list<TriedStart> */
    private static function attempts(Record $record): array
    {
        $attempts = [];
        foreach ($record->counting() as $entry) {
            foreach ($record->eventsOf($entry) as $event) {
                $attempt = $event instanceof Finding ? Attempt::fromFinding($event) : null;
                if (null !== $attempt && $event instanceof Finding) {
                    $attempts[] = new TriedStart($entry, $event, $attempt);
                }
            }
        }

        return $attempts;
    }

    private static function whole(?float $amount): ?int
    {
        return null === $amount ? null : (int) round($amount);
    }
}
