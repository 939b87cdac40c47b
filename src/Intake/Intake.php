<?php

declare(strict_types=1);

namespace AwakeShed\App\Intake;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Evidence\Content\JarRead;
use AwakeShed\App\Evidence\Content\Observed;
use AwakeShed\App\Evidence\Derivation;
use AwakeShed\App\Evidence\NewEntry;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Evidence\Source;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobWriter;
use AwakeShed\App\Job\Machine;
use AwakeShed\App\Once\RequestKey;
use AwakeShed\App\Photo\PhotoStore;
use AwakeShed\App\School\Schools;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Fuel\JarSample;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\File\UploadedFile;

/** Takes machines in: machine, job, the owner's claims and the photos, all or nothing. */
final readonly class Intake
{
    public function __construct(
        private EntityManagerInterface $entities,
        private JobWriter $writer,
        private Recorder $recorder,
        private Derivation $derivation,
        private PhotoStore $photos,
        private ClockInterface $clock,
        private Schools $schools,
        private Vocabulary $vocabulary,
        private KnownMachines $known,
    ) {
    }

    /**
     * @param Machine|null $known where it was here before: it is the same machine, described anew by the form
     *
     * @return int the number of the job, the same however often the same key is sent
     *
     * @throws \AwakeShed\App\Photo\UnusablePhoto when one of the photos is no picture; nothing is taken in then
     */
    public function takeIn(IntakeInput $input, Member $by, RequestKey $key, ?Machine $known = null): int
    {
        $machine = $known ?? new Machine((string) $input->label, $input->facts(), (string) $input->ownerName, (string) $input->ownerContact);

        return $this->add($machine, $by, $key, $this->clock->now(), function (Job $job) use ($input, $by, $known): array {
            if (null !== $known) {
                $known->describe((string) $input->label, $input->facts($known->facts()->extras), (string) $input->ownerName, (string) $input->ownerContact);
                $before = $this->known->lastStay($known, $job);
                if (null !== $before && Comeback::isSoon($before, $this->clock->now())) {
                    $job->comesSoonAfter($before);
                }
            }
            $job->limit($input->cap?->inDollars(), $input->worth?->inDollars());
            $job->wantedFor($input->wantedBy, (string) $input->remarks);
            $job->followOnly($this->schools->chosen());
            $this->photos->add($job, $by, array_values(array_map(static fn (UploadedFile $photo): string => $photo->getPathname(), $input->photos)));
            $claims = $input->whatTheOwnerSays($this->vocabulary);

            return [] === $claims ? [] : [NewEntry::observation($job, $by, $this->clock->now(), Source::Intake, new Observed($claims))];
        });
    }

    /**
     * Takes in a machine with the evidence another shop has gathered.
     *
     * @param \DateTimeImmutable|null $at when it was taken in, where it is known; now, where it is not
     *
     * @return int the number of the job, the same however often the same key is sent
     */
    public function import(CaseFile $case, string $label, string $ownerName, Member $by, RequestKey $key, ?\DateTimeImmutable $at = null): int
    {
        return $this->add(new Machine($label, $case->machine, $ownerName, ''), $by, $key, $at ?? $this->clock->now(), function (Job $job) use ($case, $by): array {
            $spokenFor = $case->machine->spokenFor;
            $job->wantedFor(null === $spokenFor ? null : new \DateTimeImmutable($spokenFor), '');
            $job->carry($case->extras);
            foreach ($case->schools as $question => $school) {
                $job->follow($question, $school);
            }
            $now = $this->clock->now();
            $entries = [] === $case->events ? [] : [NewEntry::observation($job, $by, $now, Source::Import, new Observed($case->events))];
            foreach ($case->jars as $sample => $jar) {
                // What the jar says in the vocabulary's words is among the findings already, in its place.
                $entries[] = NewEntry::observation($job, $by, $now, Source::Import, new JarRead(JarSample::from($sample), $jar, []));
            }

            return $entries;
        });
    }

    /**
     * Keeps the machine's facts up to date; what they said before stays in the history.
     *
     * @param \Closure(): void $check throws when they are not what the form was filled with; asked under the job's lock
     */
    public function describe(Job $job, IntakeInput $input, Member $by, RequestKey $key, \Closure $check): void
    {
        $this->recorder->rewrite($job, $by, $key, function () use ($job, $input, $check): void {
            $this->entities->refresh($job->getMachine());
            $check();
            $machine = $job->getMachine();
            $machine->describe((string) $input->label, $input->facts($machine->facts()->extras), (string) $input->ownerName, (string) $input->ownerContact);
            $job->limit($input->cap?->inDollars(), $input->worth?->inDollars());
            // Files it anew as well.
            $job->wantedFor($input->wantedBy, (string) $input->remarks);
        });
    }

    /** @param \Closure(Job): list<NewEntry> $fill */
    private function add(Machine $machine, Member $by, RequestKey $key, \DateTimeImmutable $at, \Closure $fill): int
    {
        $job = new Job($machine, $by, $at);

        return $this->writer->begin($job, $by, $key, function () use ($job, $fill): void {
            array_map($this->entities->persist(...), $fill($job));
            $this->entities->flush();
            $this->derivation->recompute($job);
        });
    }
}
