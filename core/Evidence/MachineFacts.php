<?php

declare(strict_types=1);

namespace AwakeShed\Core\Evidence;

use AwakeShed\Core\Units\ImpossibleAmount;

/**
 * What is known of a machine from its plate or the spec book; everything but its kind may be unknown.
 *
 * Numbers are kept in the case format's units, which its field names carry.
 */
final readonly class MachineFacts
{
    /** Field => [least, most, symbol]: what no small engine is outside of (common practice, drawn wide). */
    public const BOUNDS = [
        'displacement_cc' => [10.0, 2000.0, 'cm³'],
        'compression_ratio' => [3.0, 20.0, ': 1'],
        'oil_ml' => [50.0, 10000.0, 'mL'],
        'tank_ml' => [50.0, 200000.0, 'mL'],
        'blade_mm' => [50.0, 2500.0, 'mm'],
        'governed_rpm' => [500.0, 15000.0, 'rpm'],
    ];

    /** What its plates say in words, by the case format's field names. */
    public const PLATE = ['maker', 'model', 'type', 'serial', 'plug', 'filter'];
    public const LONGEST_PLATE = 120;

    public Cycle $cycle;

    /** @var array<string, string> what its plates say in words, only where they say anything */
    public array $plate;

    /**
     * @param float|null            $displacementCc   swept volume, cm³
     * @param float|null            $compressionRatio dimensionless
     * @param float|null            $oilMl            crankcase filling, mL
     * @param float|null            $tankMl           fuel tank, mL
     * @param float|null            $bladeMm          blade tip to tip, mm
     * @param float|null            $governedRpm      revolutions per minute without load
     * @param string|null           $spokenFor        ISO date the machine is wanted by
     * @param int|null              $cylinders        1 or 2
     * @param bool|null             $electricStart    whether it has one
     * @param array<string, mixed>  $extras           keys of a read case file that mean nothing here, kept for writing
     * @param array<string, string> $plate            of {@see PLATE}; cut to 120 characters
     *
     * @throws ImpossibleAmount when a number is outside its bounds
     */
    public function __construct(
        public MachineKind $kind,
        ?Cycle $cycle = null,
        public ?float $displacementCc = null,
        public ?float $compressionRatio = null,
        public ?bool $compressionRelease = null,
        public ?Feed $feed = null,
        public ?ChokeKind $choke = null,
        public ?float $oilMl = null,
        public ?float $tankMl = null,
        public ?float $bladeMm = null,
        public ?float $governedRpm = null,
        public ?string $spokenFor = null,
        public ?int $cylinders = null,
        public ?bool $electricStart = null,
        public array $extras = [],
        array $plate = [],
    ) {
        $this->plate = array_filter(array_map(static fn (string $said): string => mb_substr(trim($said), 0, self::LONGEST_PLATE), array_intersect_key($plate, array_flip(self::PLATE))), static fn (string $said): bool => '' !== $said);
        $this->cycle = $cycle ?? $kind->usualCycle();
        if (null !== $cylinders) {
            ImpossibleAmount::unlessBetween($cylinders, 1, 2, 'cylinders');
        }
        foreach ($this->numbers() as $field => $value) {
            [$least, $most, $symbol] = self::BOUNDS[$field];
            if (null !== $value) {
                ImpossibleAmount::unlessBetween($value, $least, $most, $symbol);
            }
        }
    }

    /** How fuel comes to the carburetor, as far as is known; where nobody has said, as it does on most of its kind (common practice). */
    public function usualFeed(): Feed
    {
        return $this->feed ?? (MachineKind::RideOnMower === $this->kind ? Feed::Pump : Feed::Gravity);
    }

    /** @return array<key-of<self::BOUNDS>, float|null> by the case format's field names */
    public function numbers(): array
    {
        return [
            'displacement_cc' => $this->displacementCc,
            'compression_ratio' => $this->compressionRatio,
            'oil_ml' => $this->oilMl,
            'tank_ml' => $this->tankMl,
            'blade_mm' => $this->bladeMm,
            'governed_rpm' => $this->governedRpm,
        ];
    }
}
