<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc\Bench;

use AwakeShed\App\Calc\Answer;
use AwakeShed\App\Calc\Calculation;
use AwakeShed\App\Calc\Figure;
use AwakeShed\App\Calc\Given;
use AwakeShed\App\Calc\Input\AmountInput;
use AwakeShed\App\Calc\Input\ChoiceInput;
use AwakeShed\App\Calc\Topic;
use AwakeShed\App\Calc\VerdictTone;
use AwakeShed\App\Unit\Measure;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Spark\CoilComparison;
use AwakeShed\Core\Spark\CoilVerdict;
use AwakeShed\Core\Spark\Steadiness;
use AwakeShed\Core\Spec\SpecFigure;
use AwakeShed\Core\Units\Resistance;
use AwakeShed\Core\Units\ResistanceUnit;

final class CoilCalculation implements Calculation
{
    public function name(): string
    {
        return 'coil';
    }

    public function topic(): Topic
    {
        return Topic::Spark;
    }

    public function act(): string
    {
        return 'spark.coil_ohms';
    }

    public function inputs(): array
    {
        return [
            'good_kohm' => AmountInput::between(Measure::Winding, ResistanceUnit::Kilohm, 0.00001, 1_000)->inSpecBook(SpecFigure::CoilWinding),
            'suspect_kohm' => AmountInput::between(Measure::Winding, ResistanceUnit::Kilohm, 0, 1_000)->optional(),
            'steadiness' => new ChoiceInput(Steadiness::class, 'steadiness', Steadiness::Steady),
        ];
    }

    public function run(Given $in): Answer
    {
        $compared = CoilComparison::against($in->get('good_kohm', Resistance::class), $in->find('suspect_kohm', Resistance::class), $in->get('steadiness', Steadiness::class));
        $verdict = $compared->verdict();

        return new Answer(
            $verdict->value,
            CoilVerdict::LikeKnownGood === $verdict ? VerdictTone::Ask : VerdictTone::Bad,
            [Figure::share('difference', $compared->difference)],
            [Finding::observed('spark.coil_ohms', $verdict->value)],
        );
    }
}
