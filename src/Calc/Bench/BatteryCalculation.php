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
use AwakeShed\Core\Spark\Battery;
use AwakeShed\Core\Spark\BatteryVerdict;
use AwakeShed\Core\Units\Voltage;
use AwakeShed\Core\Units\VoltageUnit;

#[AsCalculation('battery', Topic::Spark, 'battery.volts')]
final class BatteryCalculation implements Calculation
{
    use Described;

    protected function asks(): array
    {
        return [
            'rested_volts' => AmountInput::between(Measure::Voltage, VoltageUnit::Volt, 0, 16)->usually(9, 13.5),
            'cranking_volts' => AmountInput::between(Measure::Voltage, VoltageUnit::Volt, 0, 16)->usually(6, 13)->optional(),
            'charging_volts' => AmountInput::between(Measure::Voltage, VoltageUnit::Volt, 0, 20)->usually(11, 16)->optional(),
        ];
    }

    public function run(Given $in): Answer
    {
        $battery = Battery::measured($in->get('rested_volts', Voltage::class), $in->find('cranking_volts', Voltage::class), $in->find('charging_volts', Voltage::class));
        $verdict = $battery->verdict();

        return new Answer(
            $verdict->value,
            match ($verdict) {
                BatteryVerdict::Good => VerdictTone::Good,
                BatteryVerdict::Low => VerdictTone::Ask,
                default => VerdictTone::Bad,
            },
            [Figure::share('charge', $battery->charge(), 0)],
            [Finding::observed('battery.volts', $verdict->outcome())->measuring(['rested_volts' => round($in->get('rested_volts', Voltage::class)->inVolts(), 2)])],
        );
    }
}
