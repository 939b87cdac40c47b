<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Job\Job;
use AwakeShed\Core\Carburetor\Move;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Core\Fuel\JarReading;
use AwakeShed\Core\Fuel\JarSample;
use AwakeShed\Core\Stage\Act;
use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Common\Collections\Collection;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/**
 * One submission to a job's record, as it is written: who, when, what. Entries are only ever added; a correction or a
 * withdrawal strikes its target, and taking that one back brings the target back ({@see Record::unsettled()}).
 * {@see Entry} is how it is read.
 *
 * @phpstan-import-type JarArray from JarReading
 * @phpstan-import-type MoveArray from Move
 */
#[ORM\Entity, ORM\Table('entry')]
class NewEntry
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
    private Job $job;

    #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
    private Member $by;

    #[ORM\Column(type: Types::DATETIME_IMMUTABLE)]
    private \DateTimeImmutable $at;

    #[ORM\Column(enumType: EntryKind::class, length: 20)]
    private EntryKind $kind;

    #[ORM\Column(enumType: Source::class, length: 20)]
    private Source $source;

    #[ORM\ManyToOne]
    private ?NewEntry $target = null;

    /** Derived: some later entry that is not itself struck has this one for its target. */
    #[ORM\Column]
    private bool $struck = false;

    #[ORM\Column(enumType: JarSample::class, length: 10, nullable: true)]
    private ?JarSample $sample = null;

    /** @var JarArray|null all that was read of the jar when this was recorded */
    #[ORM\Column(nullable: true)]
    private ?array $jar = null;

    /** @var array{before: array<string, mixed>, after: array<string, mixed>}|null what was rewritten on the job itself */
    #[ORM\Column(nullable: true)]
    private ?array $rewritten = null;

    /** @var array{calculation: string, in: array<string, mixed>}|null */
    #[ORM\Column(nullable: true)]
    private ?array $worked = null;

    /** @var array{step: string, figures: array<string, float|int>, choice: string|null}|null what was done that is no finding */
    #[ORM\Column(nullable: true)]
    private ?array $done = null;

    /** @var MoveArray|null what was done at the carburetor bench */
    #[ORM\Column(nullable: true)]
    private ?array $strip = null;

    /** @var array<string, string> field => text, as it was typed */
    #[ORM\Column]
    private array $asTyped = [];

    /** @var Collection<int, RecordedFinding> */
    #[ORM\OneToMany(targetEntity: RecordedFinding::class, mappedBy: 'entry', cascade: ['persist']), ORM\OrderBy(['id' => 'ASC'])]
    private Collection $findings;

    /** @param list<Finding|PutRight> $events */
    private function __construct(Job $job, Member $by, \DateTimeImmutable $at, EntryKind $kind, Source $source, array $events)
    {
        $this->job = $job;
        $this->by = $by;
        $this->at = $at;
        $this->kind = $kind;
        $this->source = $source;
        $this->findings = new ArrayCollection(array_map(fn (Finding|PutRight $event): RecordedFinding => new RecordedFinding($this, $event), $events));
    }

    /** @param list<Finding|PutRight> $events */
    public static function observation(Job $job, Member $by, \DateTimeImmutable $at, Source $source, array $events): self
    {
        return new self($job, $by, $at, EntryKind::Observation, $source, $events);
    }

    /**
     * @param self                   $target the entity of what is corrected
     * @param list<Finding|PutRight> $events what it should have said
     */
    public static function correction(Entry $corrected, self $target, Member $by, \DateTimeImmutable $at, array $events): self
    {
        $entry = new self($corrected->job, $by, $at, EntryKind::Correction, $corrected->source, $events);
        $entry->target = $target;

        return $entry;
    }

    /** @param array{before: array<string, mixed>, after: array<string, mixed>} $changes of the job's sheet */
    public static function rewriting(Job $job, Member $by, \DateTimeImmutable $at, array $changes): self
    {
        $entry = new self($job, $by, $at, EntryKind::Observation, Source::Bench, []);
        $entry->rewritten = $changes;

        return $entry;
    }

    /** @param self $target the entity of what is taken back */
    public static function withdrawal(Entry $withdrawn, self $target, Member $by, \DateTimeImmutable $at): self
    {
        $entry = new self($withdrawn->job, $by, $at, EntryKind::Withdrawal, Source::Bench, []);
        $entry->target = $target;

        return $entry;
    }

    public function withJar(JarSample $sample, JarReading $jar): self
    {
        $this->sample = $sample;
        $this->jar = $jar->toArray();

        return $this;
    }

    /** @param array<string, string> $asTyped field => text */
    public function typedAs(array $asTyped): self
    {
        $this->asTyped = $asTyped;

        return $this;
    }

    public function workedOutBy(WorkedOut $worked): self
    {
        $this->worked = ['calculation' => $worked->calculation, 'in' => $worked->in];

        return $this;
    }

    public function doing(Act $act): self
    {
        $this->done = $act->toArray();

        return $this;
    }

    public function moving(Move $move): self
    {
        $this->strip = $move->toArray();

        return $this;
    }
}
