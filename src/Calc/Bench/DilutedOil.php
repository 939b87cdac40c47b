<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc\Bench;

use AwakeShed\App\Calc\Answer;
use AwakeShed\App\Calc\Figure;
use AwakeShed\App\Calc\Given;
use AwakeShed\App\Calc\Input\AmountInput;
use AwakeShed\App\Calc\VerdictTone;
use AwakeShed\App\Unit\Measure;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Oil\Dilution;
use AwakeShed\Core\Oil\DilutionBand;
use AwakeShed\Core\Oil\ThinnedOil;
use AwakeShed\Core\Oil\ViscosityLine;
use AwakeShed\Core\Spec\SpecFigure;
use AwakeShed\Core\Units\KinematicViscosity;
use AwakeShed\Core\Units\Temperature;
use AwakeShed\Core\Units\TemperatureUnit;
use AwakeShed\Core\Units\ViscosityUnit;
use AwakeShed\Core\Units\VolumeUnit;

/** What both ways of reading a dilution ask and answer. */
final readonly class DilutedOil
{
    private function __construct()
    {
    }

    /** @return array<string, AmountInput> */
    public static function mark(): array
    {
        return ['mark_ml' => AmountInput::between(Measure::OilVolume, VolumeUnit::Millilitre, 50, 10_000)->usually(250, 2_000)->inSpecBook(SpecFigure::Oil)];
    }

    /** @return array<string, AmountInput> */
    public static function oil(): array
    {
        return [
            'oil_cst_40' => AmountInput::between(Measure::Viscosity, ViscosityUnit::Centistokes, 2, 1_000)->usually(20, 250)->by(ThinnedOil::TYPICAL_OIL[0]),
            'oil_cst_100' => AmountInput::between(Measure::Viscosity, ViscosityUnit::Centistokes, 2, 100)->usually(4, 25)->by(ThinnedOil::TYPICAL_OIL[1]),
            'start_celsius' => AmountInput::between(Measure::AirTemperature, TemperatureUnit::Celsius, -40, 50)->usually(-30, 40)->by(0),
        ];
    }

    /** @param array<string, mixed> $measured that goes with the finding */
    public static function answer(Given $in, Dilution $dilution, array $measured): Answer
    {
        $start = $in->get('start_celsius', Temperature::class);
        $oil = ThinnedOil::thinned($in->get('oil_cst_40', KinematicViscosity::class), $in->get('oil_cst_100', KinematicViscosity::class), $dilution->fraction);
        $grades = $oil->behavesAs();
        $band = $dilution->band();
        $isClean = $dilution->isClean();
        $verdict = match (true) {
            $isClean => 'clean',
            $dilution->isBelowMark => 'below_mark',
            0.0 === $dilution->least() && DilutionBand::Watch !== DilutionBand::forFraction($dilution->most()) => 'cannot_tell',
            // Its uncertainty may reach over the next limit: the verdict says so rather than choosing.
            DilutionBand::forFraction($dilution->most()) !== $band => 'near_'.$band->value,
            default => $band->value,
        };

        return new Answer(
            $verdict,
            match ($band) {
                DilutionBand::Watch => $isClean ? VerdictTone::Good : VerdictTone::Ask,
                DilutionBand::Change, DilutionBand::ChangeFlushAndCure => VerdictTone::Bad,
            },
            [
                Figure::share('dilution', $dilution->fraction),
                Figure::share('dilution_half_width', $dilution->halfWidth),
                Figure::share('dilution_least', $dilution->least()),
                Figure::share('dilution_most', $dilution->most()),
                Figure::amount('contents_ml', $dilution->contents, VolumeUnit::Millilitre, Measure::OilVolume),
                Figure::word('band', $band, 'dilution_band'),
                Figure::amount('viscosity_40_cst', $oil->warm->viscosity, ViscosityUnit::Centistokes, Measure::Viscosity),
                Figure::amount('viscosity_40_cst_d7152', $oil->warm->byWalther, ViscosityUnit::Centistokes, Measure::Viscosity),
                Figure::amount('viscosity_100_cst', $oil->hot->viscosity, ViscosityUnit::Centistokes, Measure::Viscosity),
                Figure::amount('viscosity_100_cst_d7152', $oil->hot->byWalther, ViscosityUnit::Centistokes, Measure::Viscosity),
                self::atStart('viscosity_at_start_cst', $oil->at($start)),
                self::atStart('clean_oil_at_start_cst', $oil->cleanAt($start)),
                Figure::wordList('behaves_as_sae', $grades, $oil->isThickerThanAny() ? 'sae_thick' : 'sae'),
                Figure::word('flammability', $oil->flammability(), 'flammability'),
            ],
            [Finding::observed('look.oil_level', match (true) {
                $dilution->isBelowMark => 'below_mark',
                $isClean, 0.0 === $dilution->fraction => 'at_mark',
                $dilution->isFarOver() => 'far_over',
                default => 'over_mark',
            })->measuring($measured + ['dilution' => round($dilution->fraction, 4)])],
        );
    }

    private static function atStart(string $key, ?KinematicViscosity $viscosity): Figure
    {
        return Figure::amount($key, $viscosity, ViscosityUnit::Centistokes, Measure::Viscosity, isAtLeast: null !== $viscosity && $viscosity->inCentistokes() >= ViscosityLine::MOST);
    }
}
