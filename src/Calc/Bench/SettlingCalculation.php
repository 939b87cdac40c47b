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
use AwakeShed\Core\Fuel\Settling;
use AwakeShed\Core\Units\Duration;
use AwakeShed\Core\Units\DurationUnit;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\LengthUnit;

#[AsCalculation('settling', Topic::Fuel)]
final class SettlingCalculation implements Calculation
{
    use Described;

    protected function asks(): array
    {
        return [
            'height_mm' => AmountInput::between(Measure::JarHeight, LengthUnit::Millimetre, 5, 500)->usually(30, 300),
            'drop_um' => AmountInput::between(Measure::DropSize, LengthUnit::Micrometre, 1, 90)->by(20),
        ];
    }

    public function run(Given $in): Answer
    {
        $height = $in->get('height_mm', Length::class);

        return new Answer('wait', VerdictTone::Plain, [
            self::about('seconds', Settling::through($height, $in->get('drop_um', Length::class))),
            self::about('first_look_seconds', Settling::firstLook($height)),
            self::about('full_wait_seconds', Settling::fullWait($height)),
        ]);
    }

    private static function about(string $key, Duration $time): Figure
    {
        return Figure::within($key, $time, $time->times(Settling::ERROR), DurationUnit::Second, Measure::Stopwatch);
    }
}
