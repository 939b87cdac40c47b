<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc\Bench;

use AwakeShed\App\Calc\Answer;
use AwakeShed\App\Calc\AsCalculation;
use AwakeShed\App\Calc\Calculation;
use AwakeShed\App\Calc\Described;
use AwakeShed\App\Calc\Figure;
use AwakeShed\App\Calc\FromCase;
use AwakeShed\App\Calc\Given;
use AwakeShed\App\Calc\Input\AmountInput;
use AwakeShed\App\Calc\Input\ChancesInput;
use AwakeShed\App\Calc\Topic;
use AwakeShed\App\Calc\VerdictTone;
use AwakeShed\App\Drawing\Row;
use AwakeShed\App\Drawing\RowsDrawing;
use AwakeShed\App\Unit\Figures;
use AwakeShed\App\Unit\Measure;
use AwakeShed\Core\Diagnosis\Assessing;
use AwakeShed\Core\Diagnosis\Cures;
use AwakeShed\Core\Diagnosis\Quote;
use AwakeShed\Core\Diagnosis\QuotedFault;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Money\Chances;
use AwakeShed\Core\Units\Duration;
use AwakeShed\Core\Units\DurationUnit;
use AwakeShed\Core\Units\Money;
use AwakeShed\Core\Units\MoneyUnit;

#[AsCalculation('quote', Topic::Quote)]
final class QuoteCalculation implements Calculation, FromCase
{
    use Described;

    /** Chances from which it is worth it, or not, without asking. */
    private const SURE = 0.8;

    private const SHOWN = 6;

    public function __construct(private readonly Vocabulary $vocabulary, private readonly Assessing $assessor, private readonly Cures $cures)
    {
    }

    protected function asks(): array
    {
        return [
            'faults' => new ChancesInput($this->vocabulary),
            'wage_per_hour' => AmountInput::between(Measure::Price, MoneyUnit::Dollar, 0, 1_000)->usually(10, 200)->by(60)->kept(),
            'base_hours' => AmountInput::between(Measure::Labor, DurationUnit::Hour, 0, 20)->usually(0.25, 3)->by(0.75)->kept(),
            'owner_cap' => AmountInput::between(Measure::Price, MoneyUnit::Dollar, 0, 100_000)->usually(20, 2_000)->optional()->kept(),
            'machine_worth' => AmountInput::between(Measure::Price, MoneyUnit::Dollar, 0, 100_000)->usually(20, 6_000)->optional()->kept(),
        ];
    }

    public function run(Given $in): Answer
    {
        $chances = [];
        foreach (\is_array($in->values['faults']) ? $in->values['faults'] : [] as $fault => $chance) {
            if (\is_string($fault) && \is_float($chance)) {
                $chances[$fault] = $chance;
            }
        }
        $quote = Quote::reckoned($chances, $this->cures, $in->get('wage_per_hour', Money::class)->inDollars(), $in->get('base_hours', Duration::class)->in(DurationUnit::Hour));
        [$hoursLeast, $hoursMost] = $quote->hours();
        $limits = array_filter([$in->find('owner_cap', Money::class), $in->find('machine_worth', Money::class)]);
        $limit = [] === $limits ? null : min(array_map(static fn (Money $one): float => $one->inDollars(), $limits));
        $within = null === $limit ? null : $quote->within($limit);
        $verdict = match (true) {
            [] === $chances => 'wanted',
            null === $within => 'range',
            $within >= self::SURE => 'worth_it',
            $within <= 1 - self::SURE => 'not_worth_it',
            default => 'ask',
        };
        $dollars = static fn (string $key, ?float $amount): Figure => Figure::amount($key, null === $amount ? null : Money::of($amount, MoneyUnit::Dollar), MoneyUnit::Dollar, Measure::ReckonedCost);
        $shown = \array_slice(array_filter($quote->faults, static fn (QuotedFault $fault): bool => $fault->expected() >= 1.0), 0, self::SHOWN);

        return new Answer(
            $verdict,
            match ($verdict) {
                'worth_it' => VerdictTone::Good,
                'not_worth_it' => VerdictTone::Bad,
                'ask' => VerdictTone::Ask,
                default => VerdictTone::Plain,
            },
            [
                $dollars('quote_least', $quote->least()),
                $dollars('quote_middle', $quote->middle()),
                $dollars('quote_most', $quote->most()),
                Figure::number('hours_least', $hoursLeast, 1),
                Figure::number('hours_most', $hoursMost, 1),
                ...array_map(static fn (string $step, float $hours): Figure => Figure::number('hours_'.$step, $hours, 1), array_keys($quote->steps), array_values($quote->steps)),
                $dollars('quote_limit', $limit),
                Figure::share('within', $within, 0),
            ],
            drawing: [] === $shown ? null : new RowsDrawing('quote_by_fault', array_map(
                static fn (string $name, QuotedFault $fault): Row => new Row($name, Figures::share($fault->chance), Figures::amount(Money::of($fault->least, MoneyUnit::Dollar), Measure::ReckonedCost), Figures::amount(Money::of($fault->most, MoneyUnit::Dollar), Measure::ReckonedCost), $fault->chance),
                array_keys($shown),
                array_values($shown),
            )),
        );
    }

    /** What was put right is sure to cost; of the rest what is believed now. */
    public function known(CaseFile $case): array
    {
        return ['faults' => Chances::of($case, $this->assessor->beliefs($case), $this->cures)];
    }
}
