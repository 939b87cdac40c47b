<?php

declare(strict_types=1);

namespace AwakeShed\App\Waste;

use AwakeShed\App\Account\ByMember;
use AwakeShed\App\Account\Member;
use AwakeShed\App\Account\RecordedBy;
use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\OfShop;
use AwakeShed\App\Evidence\NewEntry;
use AwakeShed\App\Job\Job;
use AwakeShed\Core\Fuel\WasteStream;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeUnit;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** A volume put into one of the waste cans; taken back when it was written down wrongly, never deleted. */
#[ORM\Entity(repositoryClass: WasteRepository::class)]
#[ORM\Index(name: 'portion_in_can', columns: ['can_id', 'at'])]
class WastePortion implements BelongsToShop, RecordedBy
{
    use ByMember;
    use OfShop;

    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
    private Job $job;

    #[ORM\Column(enumType: WasteStream::class, length: 30)]
    private WasteStream $stream;

    #[ORM\Column]
    private float $millilitres;

    #[ORM\ManyToOne]
    private ?WasteCan $can;

    #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
    private Member $by;

    #[ORM\Column(type: Types::DATETIME_IMMUTABLE)]
    private \DateTimeImmutable $at;

    #[ORM\Column(type: Types::DATETIME_IMMUTABLE, nullable: true)]
    private ?\DateTimeImmutable $takenBackAt = null;

    /** The step of the job it came from; taken back with it, too. */
    #[ORM\ManyToOne]
    private ?NewEntry $entry;

    /** @throws \AwakeShed\Core\Units\ImpossibleAmount unless 1 mL to 100 L */
    public function __construct(Job $job, WasteStream $stream, Volume $volume, Member $by, \DateTimeImmutable $at, ?WasteCan $can = null, ?NewEntry $entry = null)
    {
        self::bounds()->demand($volume);
        $this->job = $job;
        $this->stream = $stream;
        $this->millilitres = $volume->inMillilitres();
        $this->by = $by;
        $this->at = $at;
        $this->can = $can;
        $this->entry = $entry;
    }

    public static function bounds(): Interval
    {
        return new Interval(1.0, 100_000.0, VolumeUnit::Millilitre);
    }

    public function takeBack(\DateTimeImmutable $at): void
    {
        $this->takenBackAt ??= $at;
    }

    public function getId(): int
    {
        return $this->id ?? throw new \LogicException('A portion has its number once it is saved.');
    }

    public function getJob(): Job
    {
        return $this->job;
    }

    public function getStream(): WasteStream
    {
        return $this->stream;
    }

    public function getVolume(): Volume
    {
        return Volume::millilitres($this->millilitres);
    }

    public function getCan(): ?WasteCan
    {
        return $this->can;
    }

    public function getAt(): \DateTimeImmutable
    {
        return $this->at;
    }

    public function getTakenBackAt(): ?\DateTimeImmutable
    {
        return $this->takenBackAt;
    }
}
