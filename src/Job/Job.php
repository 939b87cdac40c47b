<?php

declare(strict_types=1);

namespace AwakeShed\App\Job;

use AwakeShed\App\Account\Member;
use AwakeShed\Core\Gate\Stand;
use AwakeShed\Core\Gate\Standing;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/**
 * One machine's stay in the shed, from intake to hand-back.
 *
 * Where it stands is derived from its evidence and kept here only so that the shed can list, filter and sort
 * thousands of jobs in one query; `bin/console shed:recompute` makes it anew.
 */
#[ORM\Entity(repositoryClass: JobRepository::class)]
#[ORM\Index(columns: ['handed_back_at', 'stand', 'wanted_by'])]
#[ORM\Index(columns: ['handed_back_at', 'wanted_by'])]
#[ORM\Index(columns: ['handed_back_at', 'taken_in_at'])]
class Job
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    #[ORM\ManyToOne(cascade: ['persist']), ORM\JoinColumn(nullable: false)]
    private Machine $machine;

    #[ORM\Column(type: Types::DATETIME_IMMUTABLE)]
    private \DateTimeImmutable $takenInAt;

    #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
    private Member $takenInBy;

    #[ORM\Column(type: Types::DATE_IMMUTABLE, nullable: true)]
    private ?\DateTimeImmutable $wantedBy = null;

    #[ORM\Column(length: 2000)]
    private string $remarks = '';

    /** @var array<string, string> */
    #[ORM\Column]
    private array $schools = [];

    /** @var array<string, mixed> */
    #[ORM\Column]
    private array $extras = [];

    #[ORM\Column(enumType: Stand::class, length: 20)]
    private Stand $stand = Stand::TakenIn;

    #[ORM\Column(length: 60)]
    private string $waitsFor = '';

    #[ORM\Column(type: Types::DATETIME_IMMUTABLE, nullable: true)]
    private ?\DateTimeImmutable $handedBackAt = null;

    public function __construct(Machine $machine, Member $takenInBy, \DateTimeImmutable $takenInAt)
    {
        $this->machine = $machine;
        $this->takenInBy = $takenInBy;
        $this->takenInAt = $takenInAt;
    }

    public function wantedFor(?\DateTimeImmutable $date, string $remarks): void
    {
        $this->wantedBy = $date;
        $this->remarks = mb_substr(trim($remarks), 0, 2000);
    }

    public function follow(string $question, string $school): void
    {
        $this->schools[$question] = $school;
    }

    /** @param array<string, mixed> $extras keys of an imported case that mean nothing here, kept for the next export */
    public function carry(array $extras): void
    {
        $this->extras = $extras;
    }

    public function nowStands(Standing $standing): void
    {
        $this->stand = $standing->stand;
        $this->waitsFor = $standing->waitsFor;
    }

    public function handBack(\DateTimeImmutable $at): void
    {
        $this->handedBackAt ??= $at;
    }

    public function takeBack(): void
    {
        $this->handedBackAt = null;
    }

    public function getId(): int
    {
        return $this->id ?? throw new \LogicException('A job has its number once it is saved.');
    }

    public function getMachine(): Machine
    {
        return $this->machine;
    }

    public function getTakenInAt(): \DateTimeImmutable
    {
        return $this->takenInAt;
    }

    public function getTakenInBy(): Member
    {
        return $this->takenInBy;
    }

    public function getWantedBy(): ?\DateTimeImmutable
    {
        return $this->wantedBy;
    }

    public function getRemarks(): string
    {
        return $this->remarks;
    }

    /** @return array<string, string> question => school */
    public function getSchools(): array
    {
        return $this->schools;
    }

    /** @return array<string, mixed> */
    public function getExtras(): array
    {
        return $this->extras;
    }

    public function getStand(): Stand
    {
        return $this->stand;
    }

    public function getWaitsFor(): string
    {
        return $this->waitsFor;
    }

    public function getHandedBackAt(): ?\DateTimeImmutable
    {
        return $this->handedBackAt;
    }

    public function isHandedBack(): bool
    {
        return null !== $this->handedBackAt;
    }
}
