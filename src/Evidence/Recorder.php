<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Evidence\Content\BenchMove;
use AwakeShed\App\Evidence\Content\Content;
use AwakeShed\App\Evidence\Content\GonePast;
use AwakeShed\App\Evidence\Content\JarRead;
use AwakeShed\App\Evidence\Content\Noted;
use AwakeShed\App\Evidence\Content\Observed;
use AwakeShed\App\Evidence\Content\Rewritten;
use AwakeShed\App\Evidence\Content\StepDone;
use AwakeShed\App\Evidence\Content\WorkedOut;
use AwakeShed\App\Job\ClosedJob;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobSheet;
use AwakeShed\App\Job\JobWriter;
use AwakeShed\App\Once\RequestKey;
use AwakeShed\Core\Carburetor\Bench;
use AwakeShed\Core\Carburetor\Move;
use AwakeShed\Core\Carburetor\PartsLedger;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Fuel\JarReading;
use AwakeShed\Core\Fuel\JarSample;
use AwakeShed\Core\Gate\Gatekeeper;
use AwakeShed\Core\Progress\Ask;
use AwakeShed\Core\Stage\Act;
use AwakeShed\Core\Stage\ActEffects;
use AwakeShed\Core\Stage\StagePlan;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\AutowireServiceClosure;

/** The one way into a job's record; whoever writes sees the gates as they stand ({@see JobWriter}). */
final readonly class Recorder
{
    /** @param \Closure(): Derivation $derivation made only where something is written: most pages only read */
    public function __construct(
        private EntityManagerInterface $entities,
        private RecordReader $entries,
        private JobWriter $writer,
        private ClockInterface $clock,
        private Vocabulary $vocabulary,
        private Gatekeeper $gatekeeper,
        private ActEffects $effects,
        private StagePlan $work,
        private NewsStamps $stamps,
        #[AutowireServiceClosure(Derivation::class)]
        private \Closure $derivation,
    ) {
    }

    public function open(Job $job): Record
    {
        return $this->entries->ofJob($job);
    }

    /**
     * @param list<Finding|PutRight|Done> $events
     * @param WorkedOut|null              $worked the calculation they come from
     *
     * @throws ClosedJob
     * @throws ClosedTest                           when a finding's test is closed as the evidence stands
     * @throws \AwakeShed\Core\Evidence\UnknownWord when a word is none of the vocabulary's
     */
    public function observe(Job $job, Member $by, RequestKey $key, array $events, Source $source = Source::Bench, ?WorkedOut $worked = null, ?\Closure $also = null): void
    {
        $this->change($job, $by, $key, function (Record $record) use ($job, $by, $events, $source, $worked, $also): NewEntry {
            // What another shop found is history here, whatever order it was found in.
            $this->check(Source::Import === $source ? null : $record->case(), $events);
            foreach ($events as $event) {
                foreach (Bench::cases() as $bench) {
                    match (true) {
                        $event instanceof Finding => $record->ledger($bench)->demandInPlace($event->test),
                        $event instanceof Done => $record->ledger($bench)->demandSaidElsewhere($event->act->id),
                        default => null,
                    };
                }
            }
            $entry = NewEntry::observation($job, $by, $this->clock->now(), $source, new Observed($events, $worked));
            if (null !== $also) {
                $also($entry, $record->case());
            }

            return $entry;
        });
    }

    /**
     * Records why somebody goes on past what is asked.
     *
     * @throws ClosedJob
     */
    public function goOnPast(Job $job, Member $by, RequestKey $key, Ask $ask, string $reason): void
    {
        $this->change($job, $by, $key, fn (): NewEntry => NewEntry::observation($job, $by, $this->clock->now(), Source::Bench, new GonePast($ask, $reason)));
    }

    /**
     * Records a line somebody wrote.
     *
     * @throws ClosedJob
     */
    public function note(Job $job, Member $by, RequestKey $key, Noted $note): void
    {
        $this->change($job, $by, $key, fn (): NewEntry => NewEntry::observation($job, $by, $this->clock->now(), Source::Bench, $note));
    }

    /**
     * Records that a step was done.
     *
     * @param (\Closure(NewEntry, CaseFile): void)|null $also what goes with it, in the same transaction, told the case before it: waste, a wait
     *
     * @throws ClosedJob
     * @throws ClosedStep                          when something must come first, or a gate keeps it closed
     * @throws \AwakeShed\Core\Stage\ImpossibleAct when there is no such step, or it is not done so
     */
    public function did(Job $job, Member $by, RequestKey $key, Act $act, ?\Closure $also = null): void
    {
        $step = $this->work->step($act->step);
        $step->check($act);
        $this->change($job, $by, $key, function (Record $record) use ($job, $by, $step, $act, $also): NewEntry {
            $state = $this->work->stateOf($step, $record->case(), $record->acts());
            if ($state->isClosed()) {
                throw new ClosedStep($state);
            }
            StagePlan::demandNoContradiction($act, $record->acts());
            $entry = NewEntry::observation($job, $by, $this->clock->now(), Source::Bench, new StepDone($act));
            if (null !== $also) {
                $also($entry, $record->case());
            }

            return $entry;
        });
    }

    /**
     * Records what was done at a bench, with what it says in the vocabulary's words.
     *
     * @param \Closure(PartsLedger): Move                        $make from the ledger as it stands under the lock
     * @param (\Closure(NewEntry, Move, PartsLedger): void)|null $also what goes with it, in the same transaction, told the ledger before it
     *
     * @throws ClosedJob
     * @throws ClosedTest                                when what it finds is closed as the evidence stands
     * @throws \AwakeShed\Core\Carburetor\ImpossibleMove when it cannot be done as the ledger stands
     * @throws \AwakeShed\Core\Evidence\UnknownWord
     */
    public function moved(Job $job, Member $by, RequestKey $key, \Closure $make, ?\Closure $also = null, Bench $bench = Bench::Carburetor): void
    {
        $this->change($job, $by, $key, function (Record $record) use ($job, $by, $make, $also, $bench): NewEntry {
            $ledger = $record->ledger($bench);
            $move = $make($ledger);
            $found = $move->finds($ledger->after($move));
            $this->check($record->case(), $found);
            $entry = NewEntry::observation($job, $by, $this->clock->now(), Source::Bench, new BenchMove($move, $found, $bench));
            if (null !== $also) {
                $also($entry, $move, $ledger);
            }

            return $entry;
        });
    }

    /**
     * Says what an earlier entry should have said.
     *
     * @throws ClosedJob
     * @throws StaleEntry                           when somebody else corrected or took back the entry first
     * @throws \AwakeShed\Core\Evidence\UnknownWord
     */
    public function correct(Entry $target, Member $by, RequestKey $key, Content $content): void
    {
        foreach ($content->events() as $event) {
            if ($event instanceof Finding) {
                $this->vocabulary->check($event);
            }
        }
        $this->change($target->job, $by, $key, function (Record $record) use ($target, $by, $content): NewEntry {
            return NewEntry::correction($target, $this->target($target, $record), $by, $this->clock->now(), $content);
        });
    }

    /**
     * Takes an entry back; taking back a correction or a withdrawal restores what it struck.
     *
     * @throws ClosedJob
     * @throws StaleEntry      when somebody else corrected or took back the entry first
     * @throws NotByTakingBack when it would send the machine home
     */
    public function withdraw(Entry $target, Member $by, RequestKey $key): void
    {
        $this->change($target->job, $by, $key, function (Record $record) use ($target, $by): NewEntry {
            $entity = $this->target($target, $record);
            // Taking back that something was taken back writes it again.
            $isAgain = EntryKind::Withdrawal === $target->kind;
            $undone = $isAgain ? $target->target?->content() : $target->content();
            if ($undone instanceof Rewritten) {
                $values = $isAgain ? $undone->after : $undone->before;
                if (null !== ($values['handed_back_at'] ?? null)) {
                    throw new NotByTakingBack();
                }
                JobSheet::write($target->job, $values);
            }

            return NewEntry::withdrawal($target, $entity, $by, $this->clock->now());
        });
    }

    /**
     * Changes what is written on the job itself (its machine, its owner, its schools, whether it is here), and records
     * what it said before.
     *
     * @param \Closure(Record): void $write told the record as it stands under the lock
     *
     * @throws ClosedJob  unless a machine that went home may be written on
     * @throws \Throwable what the writing throws
     */
    public function rewrite(Job $job, Member $by, RequestKey $key, \Closure $write, bool $evenIfHandedBack = false): void
    {
        $this->change($job, $by, $key, function (Record $record) use ($job, $by, $write): ?NewEntry {
            $before = JobSheet::fromJob($job);
            $write($record);
            $changes = $before->changesTo(JobSheet::fromJob($job));

            return [] === $changes['after'] ? null : NewEntry::observation($job, $by, $this->clock->now(), Source::Bench, new Rewritten($changes['before'], $changes['after']));
        }, $evenIfHandedBack);
    }

    /**
     * Saves a jar: as a correction of the reading before when it is the same jar, else as a new observation.
     *
     * @param \Closure(Record): JarReading $read    makes the new reading from the record as it stands under the lock
     * @param array<string, string>        $asTyped field => text
     *
     * @throws ClosedJob
     * @throws \AwakeShed\Core\Refusal when the reading is impossible
     */
    public function readJar(Job $job, JarSample $sample, Member $by, RequestKey $key, \Closure $read, array $asTyped, bool $isNewJar = false): void
    {
        $this->change($job, $by, $key, function (Record $record) use ($job, $sample, $by, $read, $asTyped, $isNewJar): NewEntry {
            $jar = $read($record);
            $before = $isNewJar ? null : $record->jarEntry($sample);
            $content = new JarRead($sample, $jar, $jar->findings($sample), $asTyped);

            return null === $before
                ? NewEntry::observation($job, $by, $this->clock->now(), Source::Bench, $content)
                : NewEntry::correction($before, $this->target($before, $record), $by, $this->clock->now(), $content);
        });
    }

    /** @param \Closure(Record): ?NewEntry $make null when nothing came of it */
    private function change(Job $job, Member $by, RequestKey $key, \Closure $make, bool $evenIfHandedBack = false): void
    {
        $written = $this->writer->write($job, $by, $key, function () use ($job, $make): ?int {
            $entry = $make($this->open($job));
            if (null === $entry) {
                return null;
            }
            $this->entities->persist($entry);
            $this->entities->flush();
            ($this->derivation)()->recompute($job);

            return $entry->getId();
        }, $evenIfHandedBack);
        if (null !== $written) {
            $this->stamps->stamp($job, $written);
        }
    }

    /**
     * @param CaseFile|null               $case   whose gates the findings must pass, each after the ones before it; null for none
     * @param list<Finding|PutRight|Done> $events
     *
     * @throws ClosedTest
     * @throws \AwakeShed\Core\Evidence\UnknownWord
     */
    private function check(?CaseFile $case, array $events): void
    {
        foreach ($events as $event) {
            if ($event instanceof PutRight) {
                $this->vocabulary->checkFault($event->fault);
            } else {
                if ($event instanceof Finding) {
                    $this->vocabulary->check($event);
                }
                $gated = $event instanceof Finding ? $event->test : $this->effects->gated($event->act->id);
                $blockers = null === $case || null === $gated ? [] : $this->gatekeeper->blockers($case, $gated);
                if ([] !== $blockers) {
                    throw new ClosedTest($gated, $blockers);
                }
            }
            $case = $case?->with($event);
        }
    }

    /** @throws StaleEntry when it is struck as the record stands under the lock */
    private function target(Entry $entry, Record $record): NewEntry
    {
        if (false !== $record->entry($entry->id)?->struck) {
            throw new StaleEntry();
        }

        return $this->entities->getReference(NewEntry::class, $entry->id) ?? throw new StaleEntry();
    }
}
