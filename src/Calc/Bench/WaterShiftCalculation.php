<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc\Bench;

use AwakeShed\App\Calc\Answer;
use AwakeShed\App\Calc\AsCalculation;
use AwakeShed\App\Calc\Calculation;
use AwakeShed\App\Calc\Described;
use AwakeShed\App\Calc\Figure;
use AwakeShed\App\Calc\Given;
use AwakeShed\App\Calc\Input\AmountInput;
use AwakeShed\App\Calc\Topic;
use AwakeShed\App\Calc\VerdictTone;
use AwakeShed\App\Unit\Measure;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Fuel\EngineLimit;
use AwakeShed\Core\Fuel\WaterShift;
use AwakeShed\Core\Units\Temperature;
use AwakeShed\Core\Units\TemperatureUnit;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeUnit;

#[AsCalculation('water-shift', Topic::Fuel, 'jar.ethanol_percent')]
final class WaterShiftCalculation implements Calculation
{
    use Described;

    protected function asks(): array
    {
        return [
            'fuel_ml' => AmountInput::between(Measure::JarVolume, VolumeUnit::Millilitre, 1, 2_000)->usually(20, 500),
            'water_ml' => AmountInput::between(Measure::JarVolume, VolumeUnit::Millilitre, 1, 2_000)->usually(2, 100),
            'aqueous_ml' => AmountInput::between(Measure::JarVolume, VolumeUnit::Millilitre, 0, 4_000)->usually(0, 200),
            'celsius' => AmountInput::between(Measure::AirTemperature, TemperatureUnit::Celsius, 0, 40)->by(20),
            'error_ml' => AmountInput::between(Measure::JarVolume, VolumeUnit::Millilitre, 0.01, 50)->by(WaterShift::READING_ERROR_ML)->usually(0.1, 5),
        ];
    }

    public function run(Given $in): Answer
    {
        $content = WaterShift::read($in->get('fuel_ml', Volume::class), $in->get('water_ml', Volume::class), $in->get('aqueous_ml', Volume::class), $in->get('celsius', Temperature::class), $in->get('error_ml', Volume::class))->content();
        $limit = $content->againstSmallEngineLimit();

        return new Answer($limit->value, match ($limit) {
            EngineLimit::Within => VerdictTone::Good,
            EngineLimit::CannotTell => VerdictTone::Ask,
            EngineLimit::Over => VerdictTone::Bad,
        }, [
            Figure::share('corrected', $content->corrected, 2),
            Figure::share('half_width', $content->halfWidth),
            Figure::share('naive', $content->naive, 2),
            Figure::share('least', $content->least()),
            Figure::share('most', $content->most()),
            Figure::word('grade', $content->grade(), 'grade'),
            Figure::word('small_engine_limit', $limit, 'engine_limit'),
        ], [Finding::number('jar.ethanol_percent', round(100 * $content->corrected, 2))]);
    }
}
