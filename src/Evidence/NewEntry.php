<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\OfShop;
use AwakeShed\App\Evidence\Content\Content;
use AwakeShed\App\Evidence\Content\ContentKind;
use AwakeShed\App\Evidence\Content\Nothing;
use AwakeShed\App\Job\Job;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/**
 * One submission to a job's record, as it is written: who, when, what. Entries are only ever added; a correction or a
 * withdrawal strikes its target, and taking that one back brings the target back ({@see Record::unsettled()}).
 * {@see Entry} is how it is read.
 */
#[ORM\Entity, ORM\Table('entry')]
#[ORM\Index(columns: ['content_kind'])]
#[ORM\Index(name: 'entry_of_job', columns: ['job_id'])]
class NewEntry implements BelongsToShop
{
    use OfShop;

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

    #[ORM\Column(enumType: ContentKind::class, length: 20)]
    private ContentKind $contentKind;

    /** @var array<string, mixed> {@see Content::toArray()} */
    #[ORM\Column]
    private array $content;

    private function __construct(Job $job, Member $by, \DateTimeImmutable $at, EntryKind $kind, Source $source, Content $content)
    {
        $this->job = $job;
        $this->by = $by;
        $this->at = $at;
        $this->kind = $kind;
        $this->source = $source;
        $this->contentKind = $content->kind();
        $this->content = $content->toArray();
    }

    public static function observation(Job $job, Member $by, \DateTimeImmutable $at, Source $source, Content $content): self
    {
        return new self($job, $by, $at, EntryKind::Observation, $source, $content);
    }

    /**
     * @param self    $target  the entity of what is corrected
     * @param Content $content what it should have said
     */
    public static function correction(Entry $corrected, self $target, Member $by, \DateTimeImmutable $at, Content $content): self
    {
        $entry = new self($corrected->job, $by, $at, EntryKind::Correction, $corrected->source, $content);
        $entry->target = $target;

        return $entry;
    }

    /** @param self $target the entity of what is taken back */
    public static function withdrawal(Entry $withdrawn, self $target, Member $by, \DateTimeImmutable $at): self
    {
        $entry = new self($withdrawn->job, $by, $at, EntryKind::Withdrawal, Source::Bench, new Nothing());
        $entry->target = $target;

        return $entry;
    }

    public function getId(): int
    {
        return $this->id ?? throw new \LogicException('An entry has its number once it is saved.');
    }
}
