<?php

declare(strict_types=1);

namespace AwakeShed\App\Job;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\OfShop;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Progress\JobProgress;
use AwakeShed\Core\Progress\Progress;
use AwakeShed\Core\Progress\WaitsOn;
use AwakeShed\Core\Schedule\Day\Piece;
use AwakeShed\Core\Units\ImpossibleAmount;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;

/**
 * One machine's stay in the shed, from intake to hand-back.
 *
 * Where it stands, and what it is filed under, is derived and kept here only so that the shed can list, find, filter
 * and sort thousands of jobs off one index; `bin/console shed:recompute` makes it anew.
 */
#[ORM\Entity(repositoryClass: JobRepository::class)]
#[ORM\Index(name: 'shed_due', columns: ['shop_id', 'gone', 'due'])]
#[ORM\Index(name: 'shed_new', columns: ['shop_id', 'gone', 'taken_in_at'])]
#[ORM\Index(name: 'shed_name', columns: ['shop_id', 'gone', 'search_text'])]
#[ORM\Index(name: 'shed_kind_due', columns: ['shop_id', 'gone', 'kind', 'due'])]
#[ORM\Index(name: 'shed_kind_new', columns: ['shop_id', 'gone', 'kind', 'taken_in_at'])]
#[ORM\Index(name: 'shed_kind_name', columns: ['shop_id', 'gone', 'kind', 'search_text'])]
#[ORM\Index(name: 'shed_stand_due', columns: ['shop_id', 'gone', 'stand', 'due'])]
#[ORM\Index(name: 'shed_stand_new', columns: ['shop_id', 'gone', 'stand', 'taken_in_at'])]
#[ORM\Index(name: 'shed_stand_name', columns: ['shop_id', 'gone', 'stand', 'search_text'])]
#[ORM\Index(name: 'shed_kind_stand_due', columns: ['shop_id', 'gone', 'kind', 'stand', 'due'])]
#[ORM\Index(name: 'shed_kind_stand_new', columns: ['shop_id', 'gone', 'kind', 'stand', 'taken_in_at'])]
#[ORM\Index(name: 'shed_kind_stand_name', columns: ['shop_id', 'gone', 'kind', 'stand', 'search_text'])]
#[ORM\Index(name: 'job_home', columns: ['shop_id', 'handed_back_at'])]
class Job implements BelongsToShop
{
    use OfShop;

    public const LONGEST_REASON = 500;
    private const LONGEST_SEARCHED = 250;
    public const MOST_DOLLARS = 100_000.0;
    /** What a job waits for that waits for a part. */
    public const PART = 'part';

    /** Where a part that has not come stops everything else; before, there is always something to look at. */
    private const NEEDS_PARTS = [Progress::Apart, Progress::GoingTogether, Progress::FindingTheCause];

    private const NO_DAY = '9999-12-31';

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

    #[ORM\Column(enumType: Progress::class, length: 20)]
    private Progress $stand = Progress::TakenIn;

    #[ORM\Column(length: 60)]
    private string $waitsFor = '';

    /** @var array<string, array{tone: string, made: string}> the line in brief, by room */
    #[ORM\Column]
    private array $line = [];

    /** @var list<array{kind: string, minutes: int, likely: bool}> pieces of work that are left, in the order they are done */
    #[ORM\Column]
    private array $workLeft = [];

    /** @var array{kind: string, at: string, hands: string}|null the piece of work that is planned next, when and whose */
    #[ORM\Column(nullable: true)]
    private ?array $planned = null;

    #[ORM\Column(type: Types::DATETIME_IMMUTABLE, nullable: true)]
    private ?\DateTimeImmutable $handedBackAt = null;

    /** Whether it was handed back: what an index can begin with. */
    #[ORM\Column]
    private bool $gone = false;

    #[ORM\Column]
    private bool $waitsForParts = false;

    /** What it waits for that nobody in the shed can bring about. */
    #[ORM\Column(enumType: WaitsOn::class, length: 20, nullable: true)]
    private ?WaitsOn $waitsOn = null;

    /** In whose hands it is; nobody's when null. */
    #[ORM\ManyToOne, ORM\JoinColumn(nullable: true)]
    private ?Member $withWhom = null;

    /** Why it went home as it was. */
    #[ORM\Column(length: 500)]
    private string $handBackReason = '';

    /** What its record comes to in minutes of work, as they are reckoned. */
    #[ORM\Column]
    private float $workMinutes = 0.0;

    /** Dollars its owner will spend; null where nobody asked. */
    #[ORM\Column(nullable: true)]
    private ?float $cap = null;

    /** Dollars the machine is worth running; null where nobody said. */
    #[ORM\Column(nullable: true)]
    private ?float $worth = null;

    /** The stay before, where this one came soon after it. */
    #[ORM\ManyToOne(targetEntity: self::class), ORM\JoinColumn(nullable: true)]
    private ?self $soonAfter = null;

    /** Whether it is back for what was done then; null where nobody has answered. */
    #[ORM\Column(nullable: true)]
    private ?bool $isComeback = null;

    /** What was missed then. */
    #[ORM\Column(length: 500)]
    private string $missed = '';

    /** Filed under: the day it is wanted, or the end of time, so that undated jobs sort last without being asked. */
    #[ORM\Column(type: Types::DATE_IMMUTABLE)]
    private \DateTimeImmutable $due;

    /** Filed under: the kind of its machine. */
    #[ORM\Column(enumType: MachineKind::class, length: 30)]
    private MachineKind $kind;

    /** Filed under: what it is found by, in lower case; compared byte by byte, which is what makes finding fast. */
    #[ORM\Column(length: 250, options: ['collation' => 'utf8mb4_bin'])]
    private string $searchText;

    /** Made up, to show the shed with; it can be thrown away again. */
    #[ORM\Column]
    private bool $isDemo = false;

    public function __construct(Machine $machine, Member $takenInBy, \DateTimeImmutable $takenInAt)
    {
        $this->machine = $machine;
        $this->takenInBy = $takenInBy;
        $this->takenInAt = $takenInAt;
        $this->file();
    }

    /** Files the job under what its machine is called and is now; for after its machine was described anew. */
    public function file(): void
    {
        $this->due = $this->wantedBy ?? new \DateTimeImmutable(self::NO_DAY);
        $this->kind = $this->machine->getKind();
        $serial = $this->machine->getSerial();
        $this->searchText = mb_substr(mb_strtolower($this->machine->getLabel().' · '.$this->machine->getOwnerName().('' === $serial ? '' : ' · '.$serial)), 0, self::LONGEST_SEARCHED);
    }

    public function workedFor(float $minutes): void
    {
        $this->workMinutes = $minutes;
    }

    public function getWorkMinutes(): float
    {
        return $this->workMinutes;
    }

    /** @throws ImpossibleAmount unless each is 0 to 100 000 */
    public function limit(?float $cap, ?float $worth): void
    {
        foreach (array_filter([$cap, $worth], is_float(...)) as $sum) {
            ImpossibleAmount::unlessBetween($sum, 0.0, self::MOST_DOLLARS, '$');
        }
        $this->cap = $cap;
        $this->worth = $worth;
    }

    public function getCap(): ?float
    {
        return $this->cap;
    }

    public function getWorth(): ?float
    {
        return $this->worth;
    }

    /** The machine went home not long ago: somebody is asked whether it is back for what was done then. */
    public function comesSoonAfter(self $before): void
    {
        $this->soonAfter = $before;
    }

    public function getSoonAfter(): ?self
    {
        return $this->soonAfter;
    }

    public function isComeback(): ?bool
    {
        return $this->isComeback;
    }

    /** @param string $missed what was missed then; empty where it is no comeback */
    public function sayComeback(?bool $isComeback, string $missed): void
    {
        $this->isComeback = $isComeback;
        $this->missed = true === $isComeback ? mb_substr(trim($missed), 0, self::LONGEST_REASON) : '';
    }

    public function getMissed(): string
    {
        return $this->missed;
    }

    /** Somebody takes it on, or lays it down. */
    public function goesTo(?Member $member): void
    {
        $this->withWhom = $member;
    }

    public function getWithWhom(): ?Member
    {
        return $this->withWhom;
    }

    public function isForShow(): void
    {
        $this->isDemo = true;
    }

    public function wantedFor(?\DateTimeImmutable $date, string $remarks): void
    {
        $this->wantedBy = $date;
        $this->remarks = mb_substr(trim($remarks), 0, 2000);
        $this->file();
    }

    public function follow(string $question, string $school): void
    {
        $this->schools[$question] = $school;
    }

    /** @param array<string, string> $schools question => school */
    public function followOnly(array $schools): void
    {
        $this->schools = $schools;
    }

    /** @param array<string, mixed> $extras keys of an imported case that mean nothing here, kept for the next export */
    public function carry(array $extras): void
    {
        $this->extras = $extras;
    }

    public function nowStands(JobProgress $progress): void
    {
        $waitsFor = match (true) {
            true === $this->waitsOn?->holdsUp($progress->progress) => $this->waitsOn->value,
            $this->waitsForParts && \in_array($progress->progress, self::NEEDS_PARTS, true) => self::PART,
            default => null,
        };
        $this->stand = null === $waitsFor ? $progress->progress : Progress::Waits;
        $this->waitsFor = $waitsFor ?? $progress->why ?? $progress->next() ?? '';
    }

    /** @param list<Piece> $pieces in the order they are done */
    public function isLeft(array $pieces): void
    {
        $this->workLeft = array_map(static fn (Piece $piece): array => $piece->toArray(), $pieces);
    }

    /** @return array{kind: string, at: \DateTimeImmutable, hands: string}|null null where nothing of it is planned, or it was recorded since */
    public function getPlanned(): ?array
    {
        $isLeft = \in_array($this->planned['kind'] ?? null, array_column($this->workLeft, 'kind'), true);

        return null === $this->planned || !$isLeft || $this->isHandedBack() ? null : ['at' => new \DateTimeImmutable($this->planned['at'])] + $this->planned;
    }

    /** @return list<Piece> */
    public function getWorkLeft(): array
    {
        return array_map(Piece::fromArray(...), $this->workLeft);
    }

    /** @param array<string, array{tone: string, made: string}> $line in brief, by room */
    public function lineNow(array $line): void
    {
        $this->line = $line;
    }

    /** @return array<string, array{tone: string, made: string}> in brief, by room; empty where nobody has worked it out yet */
    public function getLine(): array
    {
        return $this->line;
    }

    public function waitOn(?WaitsOn $waitsOn): void
    {
        $this->waitsOn = $waitsOn;
    }

    public function getWaitsOn(): ?WaitsOn
    {
        return $this->waitsOn;
    }

    public function waitForParts(bool $waits): void
    {
        $this->waitsForParts = $waits;
    }

    /** @param string $reason why it goes home as it is; empty where nothing is to be said */
    public function handBack(\DateTimeImmutable $at, string $reason = ''): void
    {
        $this->planned = null;
        $this->handedBackAt ??= $at;
        $this->gone = true;
        $this->handBackReason = mb_substr(trim($reason), 0, self::LONGEST_REASON);
    }

    public function takeBack(): void
    {
        $this->handedBackAt = null;
        $this->gone = false;
        $this->handBackReason = '';
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

    public function getStand(): Progress
    {
        return null === $this->handedBackAt ? $this->stand : Progress::HandedBack;
    }

    public function getWaitsFor(): string
    {
        return $this->waitsFor;
    }

    public function getHandedBackAt(): ?\DateTimeImmutable
    {
        return $this->handedBackAt;
    }

    public function getHandBackReason(): string
    {
        return $this->handBackReason;
    }

    public function isHandedBack(): bool
    {
        return null !== $this->handedBackAt;
    }
}
