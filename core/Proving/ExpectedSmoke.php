<?php

declare(strict_types=1);

namespace AwakeShed\Core\Proving;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Cycle;

/** Smoke that is to be expected of a first run, and from what: so that nobody takes it for a worn engine (common practice). */
enum ExpectedSmoke: string
{
    /** Oil was put into the cylinder before it was turned. */
    case CylinderOil = 'cylinder_oil';

    /** Gasoline carried oil into the muffler, or clings in the crankcase: white-blue, ten to fifteen minutes, traces over the next outings. */
    case GasInOil = 'gas_in_oil';

    /** Oil came through the breather: tipped, or overfilled. */
    case OilInIntake = 'oil_in_intake';

    /** Two-stroke fuel smokes a little while it is cold. */
    case TwoStroke = 'two_stroke';

    /** Cleaner and handling oil on a hot muffler. */
    case OnMuffler = 'on_muffler';

    /** @return list<self> the longest first */
    public static function of(CaseFile $case): array
    {
        return array_values(array_filter(self::cases(), static fn (self $smoke): bool => match ($smoke) {
            self::CylinderOil => $case->state->was('cylinder.oiled') || $case->everSaid(['prep.cylinder_oiled' => ['done']]),
            self::GasInOil => $case->everSaid(['look.oil_smell' => ['gas', 'residue_expected'], 'look.oil_body' => ['thin'], 'pull.ejecta' => ['gas', 'mixture']]),
            self::OilInIntake => $case->everSaid(['look.air_filter' => ['oil_soaked'], 'pull.ejecta' => ['oil', 'mixture'], 'look.carb_outside' => ['oil_running'], 'claim.tipped' => ['yes']]),
            self::TwoStroke => Cycle::TwoStroke === $case->machine->cycle,
            self::OnMuffler => $case->state->was('carburetor.on') || $case->state->was('bowl.on'),
        }));
    }

    /** @return int minutes after which it should be gone; longer, it is something else */
    public function minutes(): int
    {
        return match ($this) {
            self::GasInOil, self::OilInIntake => 15,
            self::CylinderOil => 10,
            self::TwoStroke, self::OnMuffler => 5,
        };
    }
}
