<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence;

use AwakeShed\App\Evidence\Content\BenchMove;
use AwakeShed\App\Evidence\Content\ContentKind;
use AwakeShed\App\Evidence\Content\GonePast;
use AwakeShed\App\Evidence\Content\JarRead;
use AwakeShed\App\Evidence\Content\Noted;
use AwakeShed\App\Evidence\Content\StepDone;
use AwakeShed\App\Job\Job;
use AwakeShed\Core\Carburetor\Bench;
use AwakeShed\Core\Carburetor\Benches;
use AwakeShed\Core\Carburetor\Move;
use AwakeShed\Core\Carburetor\PartsLedger;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Core\Fuel\FuelSmell;
use AwakeShed\Core\Fuel\JarReading;
use AwakeShed\Core\Fuel\JarSample;
use AwakeShed\Core\Progress\RaisedAsk;
use AwakeShed\Core\Stage\Act;
use AwakeShed\Core\Stage\StagePlan;

/** All entries of one job, and the case they add up to. */
final class Record
{
    /** @var array<string, Entry>|null test => the entry whose finding stands; worked out when first asked for */
    private ?array $standing = null;

    private ?CaseFile $case = null;

    /** @var array<string, list<Entry>>|null */
    private ?array $notes = null;

    /** @var array<int, list<Finding|PutRight|Done>>|null */
    private ?array $told = null;

    /** @var array<string, PartsLedger> by bench */
    private array $ledgers = [];

    /**
     * @param list<Entry>         $entries oldest first
     * @param \Closure(): Benches $benches asked only where something was moved on one
     */
    public function __construct(public readonly Job $job, public readonly array $entries, private readonly \Closure $benches, private readonly StagePlan $plan)
    {
    }

    /** @return list<Entry> the entries that count: struck ones and mere withdrawals left out */
    public function counting(): array
    {
        return array_values(array_filter(
            $this->entries,
            static fn (Entry $entry): bool => !$entry->struck && EntryKind::Withdrawal !== $entry->kind,
        ));
    }

    public function case(): CaseFile
    {
        return $this->case ??= $this->caseOf($this->counting());
    }

    /** @return list<Act> what was done, in order */
    public function acts(): array
    {
        $acts = [];
        $events = 0;
        foreach ($this->counting() as $entry) {
            $content = $entry->content();
            // What it is itself comes before what it leaves to be looked at.
            $events += \count($this->told()[$entry->id]);
            if ($content instanceof StepDone) {
                $acts[] = $content->act->doneAfter($events);
            }
        }

        return $acts;
    }

    /**
     * Who went on past what is asked, and why, since it was raised.
     *
     * @param list<RaisedAsk> $raised
     *
     * @return array<string, Entry> by ask
     */
    public function gonePast(array $raised): array
    {
        $since = array_column(array_map(static fn (RaisedAsk $one): array => [$one->ask->value, $one->since], $raised), 1, 0);
        $past = [];
        $events = 0;
        foreach ($this->counting() as $entry) {
            $events += \count($this->eventsOf($entry));
            $content = $entry->content();
            if ($content instanceof GonePast && isset($since[$content->ask->value]) && $events > $since[$content->ask->value]) {
                $past[$content->ask->value] = $entry;
            }
        }

        return $past;
    }

    /** @return list<Finding|PutRight|Done> what an entry that counts adds to the case */
    public function eventsOf(Entry $entry): array
    {
        return $this->told()[$entry->id] ?? [];
    }

    /** @return array<int, list<Finding|PutRight|Done>> by entry that counts, what it adds to the case, acts first */
    private function told(): array
    {
        if (null !== $this->told) {
            return $this->told;
        }
        $told = $bench = [];
        foreach (Bench::cases() as $each) {
            $moves = $this->moves($each);
            $bench += [] === $moves ? [] : ($this->benches)()->actsAt($each)->told($moves);
        }
        foreach ($this->counting() as $entry) {
            $content = $entry->content();
            $told[$entry->id] = [...($content instanceof StepDone ? $this->plan->told($content->act) : $bench[$entry->id] ?? []), ...$content->events()];
        }

        return $this->told = $told;
    }

    /** A bench of this job as it stands. */
    public function ledger(Bench $bench = Bench::Carburetor): PartsLedger
    {
        return $this->ledgers[$bench->value] ??= ($this->benches)()->at($bench)->ledger(array_values($this->moves($bench)));
    }

    /** @return array<int, Move> by entry */
    private function moves(Bench $bench): array
    {
        $moves = [];
        foreach ($this->counting() as $entry) {
            $content = ContentKind::BenchMove === $entry->contentKind ? $entry->content() : null;
            if ($content instanceof BenchMove && $bench === $content->bench) {
                $moves[$entry->id] = $content->move;
            }
        }

        return $moves;
    }

    /** The case as it stood before the last entry that counts. */
    public function caseBefore(): CaseFile
    {
        return $this->caseOf(\array_slice($this->counting(), 0, -1));
    }

    /** @param list<Entry> $entries */
    private function caseOf(array $entries): CaseFile
    {
        $events = array_merge([], ...array_map($this->eventsOf(...), $entries));
        $jars = [];
        foreach (JarSample::cases() as $sample) {
            $jar = $this->jar($sample);
            if (null !== $jar) {
                $jars[$sample->value] = JarSample::Tank === $sample ? $jar->smelling($this->smellElsewhere()) : $jar;
            }
        }

        return new CaseFile(
            $this->job->getMachine()->facts($this->job->getWantedBy()?->format('Y-m-d')),
            $events,
            $this->job->getSchools(),
            $jars,
            $this->job->getExtras(),
        );
    }

    /** What the fuel of the tank smelled of where no jar says it: in a stage, in a room, in short; since the last fresh jar. */
    public function smellElsewhere(): ?FuelSmell
    {
        $smell = null;
        foreach ($this->counting() as $entry) {
            $content = $entry->content();
            if ($content instanceof JarRead) {
                $smell = $content->jar->isBlank() ? null : $smell;
                continue;
            }
            foreach ($this->eventsOf($entry) as $event) {
                $smell = match (true) {
                    $event instanceof Finding && 'jar.smell' === $event->test => FuelSmell::tryFrom($event->outcomes[0] ?? ''),
                    $event instanceof Done && \in_array('jar.smell', $event->act->voids, true) => null,
                    default => $smell,
                };
            }
        }

        return $smell;
    }

    /** @return list<Entry> the lines written beside a test, a step or the job, oldest first */
    public function notesOn(string $about): array
    {
        return $this->notes()[$about] ?? [];
    }

    /** @return array<string, list<Entry>> by what they are about */
    private function notes(): array
    {
        if (null !== $this->notes) {
            return $this->notes;
        }
        $this->notes = [];
        foreach ($this->counting() as $entry) {
            $content = ContentKind::Noted === $entry->contentKind ? $entry->content() : null;
            if ($content instanceof Noted) {
                $this->notes[$content->about][] = $entry;
            }
        }

        return $this->notes;
    }

    /** The entry whose finding of this test stands. */
    public function standingEntry(string $test): ?Entry
    {
        return ($this->standing ??= $this->indexed())[$test] ?? null;
    }

    public function jar(JarSample $sample): ?JarReading
    {
        return $this->jarEntry($sample)?->jarRead()?->jar;
    }

    /** The entry whose jar stands for this sample; none once what it was drawn from was poured away. */
    public function jarEntry(JarSample $sample): ?Entry
    {
        foreach (array_reverse($this->counting()) as $entry) {
            foreach (JarSample::Tank === $sample ? $this->eventsOf($entry) : [] as $event) {
                if ($event instanceof Done && \in_array('jar.tank', $event->act->voids, true)) {
                    return null;
                }
            }
            if ($entry->isOfJar($sample)) {
                return $entry;
            }
        }

        return null;
    }

    public function entry(int $id): ?Entry
    {
        foreach ($this->entries as $entry) {
            if ($entry->id === $id) {
                return $entry;
            }
        }

        return null;
    }

    /**
     * Which entries are struck by others though they do not say so yet, or no longer.
     *
     * A correction strikes its target for good, also when it is itself corrected: the newest of the chain speaks for
     * all. A withdrawal strikes its target and lets go what that one had struck. Walking from the newest back settles
     * it in one pass, because an entry only ever points at an older one.
     *
     * @return array<int, bool> entry => struck, only where that changes
     */
    public function unsettled(): array
    {
        $struckBy = [];
        $changes = [];
        foreach (array_reverse($this->entries) as $entry) {
            $by = $struckBy[$entry->id] ?? null;
            if ($entry->struck !== (null !== $by)) {
                $changes[$entry->id] = null !== $by;
            }
            if (null !== $entry->target && EntryKind::Withdrawal !== $by) {
                $struckBy[$entry->target->id] = $entry->kind;
            }
        }

        return $changes;
    }

    /** @return array<string, Entry> */
    private function indexed(): array
    {
        $standing = [];
        foreach ($this->counting() as $entry) {
            foreach ($this->eventsOf($entry) as $event) {
                if ($event instanceof Finding) {
                    $standing[$event->test] = $entry;
                } elseif ($event instanceof Done) {
                    $standing = array_diff_key($standing, array_flip($event->act->voids));
                }
            }
        }

        return $standing;
    }
}
