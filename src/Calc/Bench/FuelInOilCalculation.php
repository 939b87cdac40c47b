<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc\Bench;

use AwakeShed\App\Calc\Answer;
use AwakeShed\App\Calc\AsCalculation;
use AwakeShed\App\Calc\Calculation;
use AwakeShed\App\Calc\Described;
use AwakeShed\App\Calc\FromCase;
use AwakeShed\App\Calc\Given;
use AwakeShed\App\Calc\Input\AmountInput;
use AwakeShed\App\Calc\Topic;
use AwakeShed\App\Unit\Measure;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Oil\Dilution;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeUnit;

#[AsCalculation('fuel-in-oil', Topic::Oil, 'look.oil_level')]
final class FuelInOilCalculation implements Calculation, FromCase
{
    use Described;

    protected function asks(): array
    {
        return [
            ...DilutedOil::mark(),
            'drained_ml' => AmountInput::between(Measure::OilVolume, VolumeUnit::Millilitre, 0, 20_000)->usually(200, 4_000),
            'left_ml' => AmountInput::between(Measure::OilVolume, VolumeUnit::Millilitre, 0, 10_000)->usually(0, 300)->optional(),
            'error_ml' => AmountInput::between(Measure::OilVolume, VolumeUnit::Millilitre, 0, 1_000)->usually(1, 100)->by(10),
            ...DilutedOil::oil(),
        ];
    }

    public function run(Given $in): Answer
    {
        $drained = $in->get('drained_ml', Volume::class);
        $dilution = Dilution::drained($in->get('mark_ml', Volume::class), $drained, $in->find('left_ml', Volume::class), $in->get('error_ml', Volume::class));

        return DilutedOil::answer($in, $dilution, ['drained_ml' => round($drained->inMillilitres(), 1)]);
    }

    /** What the last draining brought, or what was measured with the look at the level. */
    public function known(CaseFile $case): array
    {
        foreach (array_reverse($case->events) as $event) {
            $millilitres = match (true) {
                $event instanceof Done && 'crankcase.drained' === $event->act->id => $event->measured['ml'] ?? null,
                $event instanceof Finding && 'look.oil_level' === $event->test => $event->measured['drained_ml'] ?? null,
                default => null,
            };
            if (is_numeric($millilitres)) {
                return ['drained_ml' => Volume::millilitres((float) $millilitres)];
            }
        }

        return [];
    }
}
