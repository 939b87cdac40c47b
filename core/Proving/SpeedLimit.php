<?php

declare(strict_types=1);

namespace AwakeShed\Core\Proving;

use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Running\BladeTip;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\LengthUnit;
use AwakeShed\Core\Units\ShaftSpeed;
use AwakeShed\Core\Units\SpeedUnit;

/**
 * What a machine's engine is to run at without load, and must not pass, before anybody touches a spring: by its blade
 * (ANSI/OPEI B71.1, published), by its alternator, or by the maker's figure.
 */
final readonly class SpeedLimit
{
    private const G1_DROOP = 0.08;

    /**
     * @param ShaftSpeed|null $governed what it is to run at; null where nobody has written it down
     * @param ShaftSpeed|null $most     what it must not pass; null where nothing is known to set it
     * @param string          $by       blade, frequency, maker or unknown
     */
    private function __construct(public ?ShaftSpeed $governed, public ?ShaftSpeed $most, public string $by)
    {
    }

    /**
     * @param int|null   $poles of a directly coupled alternator; null where they are not known
     * @param float|null $hertz it is rated for
     */
    public static function of(MachineFacts $machine, ?int $poles = null, ?float $hertz = null): self
    {
        $governed = null === $machine->governedRpm ? null : ShaftSpeed::of($machine->governedRpm, SpeedUnit::Rpm);
        if (\in_array($machine->kind, [MachineKind::Mower, MachineKind::RideOnMower], true) && null !== $machine->bladeMm) {
            $most = BladeTip::fastest(Length::of($machine->bladeMm, LengthUnit::Millimetre));

            return new self($governed, $most, 'blade');
        }
        if (MachineKind::Generator === $machine->kind && null !== $poles && null !== $hertz) {
            $rated = 120 * $hertz / $poles;

            // Without load a droop of the widest class stands above it (ISO 8528-5 G1, published).
            return new self($governed ?? ShaftSpeed::of($rated, SpeedUnit::Rpm), ShaftSpeed::of($rated * (1 + self::G1_DROOP), SpeedUnit::Rpm), 'frequency');
        }

        return new self($governed, $governed, null === $governed ? 'unknown' : 'maker');
    }
}
