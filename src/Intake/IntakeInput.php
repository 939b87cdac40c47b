<?php

declare(strict_types=1);

namespace AwakeShed\App\Intake;

use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\Machine;
use AwakeShed\Core\Evidence\ChokeKind;
use AwakeShed\Core\Evidence\Cycle;
use AwakeShed\Core\Evidence\Feed;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Units\CalendarSpan;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\LengthUnit;
use AwakeShed\Core\Units\Money;
use AwakeShed\Core\Units\Ratio;
use AwakeShed\Core\Units\RatioUnit;
use AwakeShed\Core\Units\ShaftSpeed;
use AwakeShed\Core\Units\SpeedUnit;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeUnit;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\Validator\Constraints as Assert;

/** What the intake form holds, complete or not; strict values come out of it once it is valid. */
final class IntakeInput
{
    /** The claims asked for by chips, in the order they are asked. */
    public const CLAIMS = [
        'claim.fuel_kind', 'claim.layup', 'claim.tank_fuel_age', 'claim.tipped',
        'claim.struck_something', 'claim.last_behaviour', 'claim.someone_tried',
    ];

    #[Assert\NotNull(message: 'Say what kind of machine it is.')]
    public ?MachineKind $kind = null;

    #[Assert\NotBlank(message: 'Give it a name people here will know it by.'), Assert\Length(max: Machine::LONGEST_TEXT)]
    public ?string $label = null;

    #[Assert\NotBlank(message: 'Whose is it?'), Assert\Length(max: Machine::LONGEST_TEXT)]
    public ?string $ownerName = null;

    #[Assert\Length(max: Machine::LONGEST_TEXT)]
    public ?string $ownerContact = null;

    public ?\DateTimeImmutable $wantedBy = null;

    #[Assert\Length(max: 2000)]
    public ?string $remarks = null;

    public ?Cycle $cycle = null;
    public ?Volume $displacement = null;
    public ?Ratio $compressionRatio = null;
    public ?bool $compressionRelease = null;
    public ?Feed $feed = null;
    public ?ChokeKind $choke = null;
    public ?Volume $oil = null;
    public ?Volume $tank = null;
    public ?Length $blade = null;
    public ?ShaftSpeed $governed = null;

    public ?int $cylinders = null;
    public ?bool $electricStart = null;

    #[Assert\Length(max: MachineFacts::LONGEST_PLATE)]
    public ?string $maker = null;

    #[Assert\Length(max: MachineFacts::LONGEST_PLATE)]
    public ?string $model = null;

    #[Assert\Length(max: MachineFacts::LONGEST_PLATE)]
    public ?string $type = null;

    #[Assert\Length(max: MachineFacts::LONGEST_PLATE)]
    public ?string $serial = null;

    #[Assert\Length(max: MachineFacts::LONGEST_PLATE)]
    public ?string $plug = null;

    #[Assert\Length(max: MachineFacts::LONGEST_PLATE)]
    public ?string $filter = null;

    public ?Money $cap = null;
    public ?Money $worth = null;

    public ?CalendarSpan $idle = null;

    /** @var array<string, string|list<string>|null> claim test => outcome id, or those that hold at once */
    public array $claims = [];

    /** @var list<UploadedFile> */
    #[Assert\Count(max: 12, maxMessage: 'Twelve pictures at a time are enough; add the others from the job.')]
    public array $photos = [];

    public static function fromJob(Job $job): self
    {
        $input = self::fromMachine($job->getMachine());
        $input->wantedBy = $job->getWantedBy();
        $input->remarks = $job->getRemarks();
        $input->cap = null === $job->getCap() ? null : Money::dollars($job->getCap());
        $input->worth = null === $job->getWorth() ? null : Money::dollars($job->getWorth());

        return $input;
    }

    /** What is known of a machine from its stays before. */
    public static function fromMachine(Machine $machine): self
    {
        $facts = $machine->facts();
        $input = new self();
        $input->kind = $machine->getKind();
        $input->label = $machine->getLabel();
        $input->ownerName = $machine->getOwnerName();
        $input->ownerContact = $machine->getOwnerContact();
        $input->cycle = $facts->cycle;
        $input->displacement = null === $facts->displacementCc ? null : Volume::of($facts->displacementCc, VolumeUnit::CubicCentimetre);
        $input->compressionRatio = null === $facts->compressionRatio ? null : Ratio::of($facts->compressionRatio, RatioUnit::ToOne);
        $input->compressionRelease = $facts->compressionRelease;
        $input->feed = $facts->feed;
        $input->choke = $facts->choke;
        $input->oil = null === $facts->oilMl ? null : Volume::millilitres($facts->oilMl);
        $input->tank = null === $facts->tankMl ? null : Volume::millilitres($facts->tankMl);
        $input->blade = null === $facts->bladeMm ? null : Length::millimetres($facts->bladeMm);
        $input->governed = null === $facts->governedRpm ? null : ShaftSpeed::of($facts->governedRpm, SpeedUnit::Rpm);

        $input->maker = $facts->plate['maker'] ?? null;
        $input->model = $facts->plate['model'] ?? null;
        $input->type = $facts->plate['type'] ?? null;
        $input->serial = $facts->plate['serial'] ?? null;
        $input->plug = $facts->plate['plug'] ?? null;
        $input->filter = $facts->plate['filter'] ?? null;
        $input->cylinders = $facts->cylinders;
        $input->electricStart = $facts->electricStart;

        return $input;
    }

    /** @param array<string, mixed> $extras of the machine described so far */
    public function facts(array $extras = []): MachineFacts
    {
        return new MachineFacts(
            $this->kind ?? throw new \LogicException('Only a valid form has facts.'),
            $this->cycle,
            $this->displacement?->in(VolumeUnit::CubicCentimetre),
            $this->compressionRatio?->in(RatioUnit::ToOne),
            $this->compressionRelease,
            $this->feed,
            $this->choke,
            $this->oil?->inMillilitres(),
            $this->tank?->inMillilitres(),
            $this->blade?->in(LengthUnit::Millimetre),
            $this->governed?->in(SpeedUnit::Rpm),
            null,
            $this->cylinders,
            $this->electricStart,
            $extras,
            array_map(strval(...), ['maker' => $this->maker, 'model' => $this->model, 'type' => $this->type, 'serial' => $this->serial, 'plug' => $this->plug, 'filter' => $this->filter]),
        );
    }

    /** @return list<Finding> what the owner says */
    public function whatTheOwnerSays(Vocabulary $vocabulary): array
    {
        $findings = null === $this->idle ? [] : [Finding::number('claim.idle_months', round($this->idle->inMonths(), 2))];
        foreach ($this->claims as $test => $said) {
            // What does not hold beside what is said after it gives way.
            $outcomes = array_reduce((array) $said, $vocabulary->test($test)->afterTap(...), []);
            if ([] !== $outcomes) {
                $findings[] = Finding::observed($test, ...$outcomes);
            }
        }

        return $findings;
    }
}
