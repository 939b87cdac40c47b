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
use AwakeShed\Core\Units\Share;
use AwakeShed\Core\Units\ShareUnit;

#[AsCalculation('coil', Topic::Spark, 'spark.coil_ohms')]
final class CoilCalculation implements Calculation
{
    use Described;

    protected function asks(): array
    {
        return [
            'good_kohm' => AmountInput::between(Measure::Winding, ResistanceUnit::Kilohm, 0.00001, 1_000)->usually(0.0002, 30)->inSpecBook(SpecFigure::CoilWinding),
            'suspect_kohm' => AmountInput::between(Measure::Winding, ResistanceUnit::Kilohm, 0, 1_000)->usually(0, 30)->optional(),
            'error_percent' => AmountInput::between(Measure::Share, ShareUnit::Percent, 0, 20)->usually(0.1, 5)->by(1),
            'steadiness' => new ChoiceInput(Steadiness::class, 'steadiness', Steadiness::Steady),
        ];
    }

    public function run(Given $in): Answer
    {
        $compared = CoilComparison::against($in->get('good_kohm', Resistance::class), $in->find('suspect_kohm', Resistance::class), $in->get('steadiness', Steadiness::class), $in->get('error_percent', Share::class)->asFraction());
        $verdict = $compared->verdict();

        return new Answer(
            $compared->isAtTheLimit() ? 'at_limit' : $verdict->value,
            CoilVerdict::LikeKnownGood === $verdict ? VerdictTone::Ask : VerdictTone::Bad,
            [Figure::share('difference', $compared->difference), Figure::share('difference_half_width', $compared->halfWidth)],
            [Finding::observed('spark.coil_ohms', $verdict->value)],
        );
    }
}
