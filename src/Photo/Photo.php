<?php

declare(strict_types=1);

namespace AwakeShed\App\Photo;

use AwakeShed\App\Account\ByMember;
use AwakeShed\App\Account\Member;
use AwakeShed\App\Account\RecordedBy;
use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\OfShop;
use AwakeShed\App\Job\Job;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/** A photo of a job: re-encoded, scaled and free of location data before it is stored. */
#[ORM\Entity(repositoryClass: PhotoRepository::class)]
class Photo implements BelongsToShop, RecordedBy
{
    use ByMember;
    use OfShop;

    /** Characters. */
    public const LONGEST_CAPTION = 200;

    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
    private Job $job;

    /** The gate of the walk, or the place on a mat ({@see MatPlace}), it was taken at; null where at none. */
    #[ORM\Column(length: 20, nullable: true)]
    private ?string $gate;

    /** The file's name in the store, without its size prefix. */
    #[ORM\Column(length: 60, unique: true)]
    private string $file;

    #[ORM\Column]
    private int $width;

    #[ORM\Column]
    private int $height;

    #[ORM\Column(length: self::LONGEST_CAPTION)]
    private string $caption = '';

    #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
    private Member $by;

    #[ORM\Column(type: Types::DATETIME_IMMUTABLE)]
    private \DateTimeImmutable $at;

    #[ORM\Column(type: Types::DATETIME_IMMUTABLE, nullable: true)]
    private ?\DateTimeImmutable $removedAt = null;

    /**
     * @param int $width  of the full picture, pixels
     * @param int $height of the full picture, pixels
     */
    public function __construct(Job $job, string $file, int $width, int $height, Member $by, \DateTimeImmutable $at, ?string $gate = null)
    {
        $this->job = $job;
        $this->file = $file;
        $this->width = $width;
        $this->height = $height;
        $this->by = $by;
        $this->at = $at;
        $this->gate = $gate;
    }

    public function remove(\DateTimeImmutable $at): void
    {
        $this->removedAt ??= $at;
    }

    public function bringBack(): void
    {
        $this->removedAt = null;
    }

    public function getId(): int
    {
        return $this->id ?? throw new \LogicException('A photo has its number once it is saved.');
    }

    public function getJob(): Job
    {
        return $this->job;
    }

    public function getGate(): ?string
    {
        return $this->gate;
    }

    public function captioned(string $caption): void
    {
        $this->caption = mb_substr(trim($caption), 0, self::LONGEST_CAPTION);
    }

    public function getCaption(): string
    {
        return $this->caption;
    }

    public function getFile(): string
    {
        return $this->file;
    }

    public function getWidth(): int
    {
        return $this->width;
    }

    public function getHeight(): int
    {
        return $this->height;
    }

    public function getAt(): \DateTimeImmutable
    {
        return $this->at;
    }

    public function getRemovedAt(): ?\DateTimeImmutable
    {
        return $this->removedAt;
    }
}
