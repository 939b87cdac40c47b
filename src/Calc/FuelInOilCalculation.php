<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc;

use AwakeShed\Core\Oil\Dilution;
use AwakeShed\Core\Oil\GasolineBlend;
use AwakeShed\Core\Oil\ViscosityGrade;
use AwakeShed\Core\Oil\ViscosityLine;
use AwakeShed\Core\Units\KinematicViscosity;
use AwakeShed\Core\Units\Temperature;

final class FuelInOilCalculation implements Calculation
{
    /** mm²/s at 40 and 100 °C: gasoline (from memory; at 100 °C most of it would have boiled off). */
    private const GASOLINE = [0.55, 0.35];

    public function name(): string
    {
        return 'fuel-in-oil';
    }

    public function about(): string
    {
        return 'How much gasoline is in a crankcase, from what drained out of it, and what the mixture is worth as oil.';
    }

    public function source(): string
    {
        return 'Viscosity over temperature: ASTM D341; blends: Refutas index by mass, and ASTM D7152 (Walther by volume) for the spread; grades: SAE J300 (published). Bands and densities: common practice. Gasoline viscosity: from memory.';
    }

    public function inputs(): array
    {
        return [
            'mark_ml' => new CalcInput('What the crankcase holds at the mark', 'mL', 50, 10_000),
            'drained_ml' => new CalcInput('What drained out', 'mL', 0, 20_000),
            'left_ml' => new CalcInput('What clings inside after draining', 'mL', 0, 10_000, 0),
            'error_ml' => new CalcInput('Half-width of the drained reading', 'mL', 0, 1_000, 10),
            'oil_cst_40' => new CalcInput('The oil at 40 °C; a typical SAE 30', 'mm²/s', 2, 1_000, 93),
            'oil_cst_100' => new CalcInput('The oil at 100 °C; a typical SAE 30', 'mm²/s', 2, 100, 10.8),
            'start_celsius' => new CalcInput('Where it is to be started', '°C', -40, 50, 0),
        ];
    }

    public function run(CalcNumbers $in): array
    {
        $dilution = Dilution::drained($in->millilitres('mark_ml'), $in->millilitres('drained_ml'), $in->millilitres('left_ml'), $in->millilitres('error_ml'));
        $oil = [KinematicViscosity::centistokes($in->number('oil_cst_40')), KinematicViscosity::centistokes($in->number('oil_cst_100'))];
        $line = ViscosityLine::through(Temperature::celsius(40), $oil[0], Temperature::celsius(100), $oil[1]);
        $warm = GasolineBlend::of($oil[0], KinematicViscosity::centistokes(self::GASOLINE[0]), $dilution->fraction);
        $hot = GasolineBlend::of($oil[1], KinematicViscosity::centistokes(self::GASOLINE[1]), $dilution->fraction);

        return [
            'dilution' => $dilution->fraction,
            'dilution_half_width' => $dilution->halfWidth,
            'band' => $dilution->band()->value,
            'viscosity_40_cst' => $warm->viscosity->inCentistokes(),
            'viscosity_40_cst_d7152' => $warm->byWalther->inCentistokes(),
            'viscosity_100_cst' => $hot->viscosity->inCentistokes(),
            'viscosity_100_cst_d7152' => $hot->byWalther->inCentistokes(),
            'clean_oil_at_start_cst' => $line->at($in->celsius('start_celsius'))->inCentistokes(),
            'behaves_as_sae' => array_map(static fn (ViscosityGrade $grade): string => $grade->value, ViscosityGrade::passedBy($hot->viscosity)),
            // Whatever its flash point would come out at: oil with gasoline in it is handled as gasoline.
            'flammable' => $dilution->fraction > 0.0,
        ];
    }
}
