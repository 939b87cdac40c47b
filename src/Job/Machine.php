<?php

declare(strict_types=1);

namespace AwakeShed\App\Job;

use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\OfShop;
use AwakeShed\App\Spec\SpecPage;
use AwakeShed\Core\Evidence\ChokeKind;
use AwakeShed\Core\Evidence\Cycle;
use AwakeShed\Core\Evidence\Feed;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use Doctrine\ORM\Mapping as ORM;

/** A machine and whose it is; comes back season after season, each time with a new job. */
#[ORM\Entity]
#[ORM\Index(columns: ['label'])]
#[ORM\Index(columns: ['owner_name'])]
#[ORM\Index(columns: ['serial'])]
#[ORM\Index(columns: ['maker', 'model'])]
class Machine implements BelongsToShop
{
    use OfShop;

    public const LONGEST_TEXT = 120;

    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    #[ORM\Column(enumType: MachineKind::class, length: 30)]
    private MachineKind $kind;

    #[ORM\Column(length: 120)]
    private string $label;

    #[ORM\Column(length: 120)]
    private string $ownerName;

    #[ORM\Column(length: 120)]
    private string $ownerContact;

    #[ORM\Column(enumType: Cycle::class, length: 20)]
    private Cycle $cycle;

    #[ORM\Column(nullable: true)]
    private ?float $displacementCc = null;

    #[ORM\Column(nullable: true)]
    private ?float $compressionRatio = null;

    #[ORM\Column(nullable: true)]
    private ?bool $compressionRelease = null;

    #[ORM\Column(enumType: Feed::class, length: 20, nullable: true)]
    private ?Feed $feed = null;

    #[ORM\Column(enumType: ChokeKind::class, length: 20, nullable: true)]
    private ?ChokeKind $choke = null;

    #[ORM\Column(nullable: true)]
    private ?float $oilMl = null;

    #[ORM\Column(nullable: true)]
    private ?float $tankMl = null;

    #[ORM\Column(nullable: true)]
    private ?float $bladeMm = null;

    #[ORM\Column(nullable: true)]
    private ?float $governedRpm = null;

    #[ORM\Column(nullable: true)]
    private ?int $cylinders = null;

    #[ORM\Column(nullable: true)]
    private ?bool $electricStart = null;

    #[ORM\Column(length: 120)]
    private string $maker = '';

    #[ORM\Column(length: 120)]
    private string $model = '';

    #[ORM\Column(name: 'plate_type', length: 120)]
    private string $type = '';

    #[ORM\Column(length: 120)]
    private string $serial = '';

    #[ORM\Column(length: 120)]
    private string $plug = '';

    #[ORM\Column(length: 120)]
    private string $filter = '';

    /** That it runs, as its owner says; null where nobody asked. */
    #[ORM\Column(name: 'hours_a_year', nullable: true)]
    private ?float $hoursAYear = null;

    #[ORM\ManyToOne, ORM\JoinColumn(onDelete: 'SET NULL')]
    private ?SpecPage $spec = null;

    /** @var array<string, mixed> */
    #[ORM\Column]
    private array $extras = [];

    public function __construct(string $label, MachineFacts $facts, string $ownerName, string $ownerContact)
    {
        $this->describe($label, $facts, $ownerName, $ownerContact);
    }

    /** @throws \InvalidArgumentException when a text is too long or the label is empty */
    public function describe(string $label, MachineFacts $facts, string $ownerName, string $ownerContact): void
    {
        if ('' === trim($label) || max(array_map(mb_strlen(...), [$label, $ownerName, $ownerContact])) > self::LONGEST_TEXT) {
            throw new \InvalidArgumentException('A machine has a label, and no text of it is over 120 characters.');
        }
        $this->label = trim($label);
        $this->ownerName = trim($ownerName);
        $this->ownerContact = trim($ownerContact);
        $this->kind = $facts->kind;
        $this->cycle = $facts->cycle;
        $this->displacementCc = $facts->displacementCc;
        $this->compressionRatio = $facts->compressionRatio;
        $this->compressionRelease = $facts->compressionRelease;
        $this->feed = $facts->feed;
        $this->choke = $facts->choke;
        $this->oilMl = $facts->oilMl;
        $this->tankMl = $facts->tankMl;
        $this->bladeMm = $facts->bladeMm;
        $this->governedRpm = $facts->governedRpm;
        $this->cylinders = $facts->cylinders;
        $this->electricStart = $facts->electricStart;
        $this->extras = $facts->extras;
        $plate = $facts->plate + array_fill_keys(MachineFacts::PLATE, '');
        ['maker' => $this->maker, 'model' => $this->model, 'type' => $this->type, 'serial' => $this->serial, 'plug' => $this->plug, 'filter' => $this->filter] = $plate;
    }

    /** @param float|null $hours 0 to 8760 */
    public function runs(?float $hours): void
    {
        $this->hoursAYear = $hours;
    }

    public function getHoursAYear(): ?float
    {
        return $this->hoursAYear;
    }

    /** What machines of a kind have in common: maker and model; empty where either is not known. */
    public function modelName(): string
    {
        return '' === $this->maker || '' === $this->model ? '' : $this->maker.' '.$this->model;
    }

    public function getMaker(): string
    {
        return $this->maker;
    }

    public function getModel(): string
    {
        return $this->model;
    }

    public function getSerial(): string
    {
        return $this->serial;
    }

    /** @param string|null $spokenFor ISO date, which belongs to the job */
    public function facts(?string $spokenFor = null): MachineFacts
    {
        return new MachineFacts(
            $this->kind,
            $this->cycle,
            $this->displacementCc,
            $this->compressionRatio,
            $this->compressionRelease,
            $this->feed,
            $this->choke,
            $this->oilMl,
            $this->tankMl,
            $this->bladeMm,
            $this->governedRpm,
            $spokenFor,
            $this->cylinders,
            $this->electricStart,
            $this->extras,
            ['maker' => $this->maker, 'model' => $this->model, 'type' => $this->type, 'serial' => $this->serial, 'plug' => $this->plug, 'filter' => $this->filter],
        );
    }

    /** @param SpecPage|null $page of the spec book; null: none of it is about this machine */
    public function lookUpIn(?SpecPage $page): void
    {
        $this->spec = $page;
    }

    public function getSpec(): ?SpecPage
    {
        return $this->spec;
    }

    public function getId(): ?int
    {
        return $this->id;
    }

    public function getKind(): MachineKind
    {
        return $this->kind;
    }

    public function getLabel(): string
    {
        return $this->label;
    }

    public function getOwnerName(): string
    {
        return $this->ownerName;
    }

    public function getOwnerContact(): string
    {
        return $this->ownerContact;
    }
}
