<?php

declare(strict_types=1);

namespace AwakeShed\Core\LayUp;

use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Fuel\Stabilizer;
use AwakeShed\Core\Stage\StepState;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeUnit;

/** How a machine is put away: the steps in order, with their amounts reckoned from its tank and crankcase (common practice). */
final readonly class LayUpPlan
{
    /** Fuel swells: a tank is filled this far. */
    private const FULL = 0.95;

    /** Label rate where the can is not at hand: an ounce for two and a half gallons (from memory of labels). */
    private const LABEL_OUNCES = 1.0;
    private const LABEL_GALLONS = 2.5;

    /** Into a hand tool's tank: enough to prime through its lines. */
    private const OIL_IN_TANK_ML = 30.0;

    /** Until what is in the tank has reached the bowl. */
    private const RUN_MINUTES = 10;

    /** What a bowl and its line still hold after an engine stopped by itself. */
    private const BOWL_ML = 20.0;

    /** @param list<LayUpStep> $steps */
    private function __construct(public array $steps)
    {
    }

    /** @param list<StepState> $steps of the stage of laying up, as this machine is asked them by its school */
    public static function of(array $steps, MachineFacts $machine): self
    {
        $tank = null === $machine->tankMl ? null : Volume::millilitres(self::FULL * $machine->tankMl);

        return new self(array_map(static fn (StepState $state): LayUpStep => new LayUpStep($state->step->id, match ($state->step->id) {
            'layup.oil' => null === $machine->oilMl ? null : Volume::millilitres($machine->oilMl),
            'layup.fill', 'layup.ethanol_free' => $tank,
            'layup.stabilizer' => null === $tank ? null : Stabilizer::dose($tank, Volume::of(self::LABEL_OUNCES, VolumeUnit::FluidOunce), Volume::of(self::LABEL_GALLONS, VolumeUnit::Gallon)),
            'layup.oil_in_tank' => Volume::millilitres(self::OIL_IN_TANK_ML),
            'layup.bowl_drain' => Volume::millilitres(self::BOWL_ML),
            default => null,
        }, match ($state->step->id) {
            'layup.run_through', 'layup.run_through_free' => self::RUN_MINUTES,
            default => null,
        }), $steps));
    }
}
