<?php

declare(strict_types=1);

namespace AwakeShed\App\Money;

use AwakeShed\App\Carburetor\WantedPart;
use AwakeShed\App\Carburetor\WantedPartRepository;
use AwakeShed\App\Carburetor\WantedState;
use AwakeShed\App\Evidence\Record;
use AwakeShed\App\Waste\WasteRepository;
use AwakeShed\Core\Diagnosis\Assessing;
use AwakeShed\Core\Diagnosis\Cures;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Money\Bill;
use AwakeShed\Core\Money\BillLine;
use AwakeShed\Core\Money\Chances;
use AwakeShed\Core\Money\LineKind;
use AwakeShed\Core\Money\Pace;
use AwakeShed\Core\Money\WorkTime;
use AwakeShed\Core\Money\Worth;
use AwakeShed\Core\Units\DurationUnit;
use AwakeShed\Core\Units\Money;

/** Reckons what a job costs, from its record, its charges and the price book. */
final readonly class JobMonies
{
    public function __construct(
        private PriceBook $book,
        private ChargeRepository $charges,
        private EstimateRepository $estimates,
        private WasteRepository $waste,
        private WantedPartRepository $parts,
        private Vocabulary $vocabulary,
        private Cures $cures,
        private Assessing $assessor,
    ) {
    }

    public function of(Record $record): JobMoney
    {
        $job = $record->job;
        $prices = $this->book->prices();
        ['wage' => $wage, 'consumables' => $consumables, 'waste_fee' => $fee, 'tax_percent' => $tax] = $prices->all();
        $charges = $this->charges->ofJob($job);
        $lines = array_map(static fn (Charge $charge): BillLine => $charge->line(), $charges);
        $pace = $this->pace();
        $time = WorkTime::of($record->case(), $this->vocabulary, $this->cures)->times($pace->factor);
        $has = static fn (LineKind $kind): bool => [] !== array_filter($lines, static fn (BillLine $line): bool => $kind === $line->kind);
        // What somebody clocked or set stands; the rest is reckoned.
        $isReckoned = !$has(LineKind::Labor);
        $reckoned = [
            ...$isReckoned ? [new BillLine(LineKind::Labor, '', round($time->in(DurationUnit::Hour), 2), Money::dollars($wage))] : [],
            ...$has(LineKind::Consumables) || $time->in(DurationUnit::Minute) <= 0.0 ? [] : [new BillLine(LineKind::Consumables, '', 1, Money::dollars($consumables))],
            ...$has(LineKind::WasteFee) || [] === $this->waste->ofJob($job) ? [] : [new BillLine(LineKind::WasteFee, '', 1, Money::dollars($fee))],
        ];
        $priced = array_map(static fn (BillLine $line): string => mb_strtolower($line->text), $lines);
        $came = array_filter($this->parts->ofJob($job), static fn (WantedPart $part): bool => WantedState::Here === $part->getState() && !\in_array(mb_strtolower($part->getName()), $priced, true));

        return new JobMoney(
            Bill::of(array_values(array_filter([...$reckoned, ...$lines], static fn (BillLine $line): bool => $line->amount()->inDollars() > 0.0)), $tax, $prices->isLaborTaxed()),
            $charges,
            $this->estimates->ofJob($job),
            $pace,
            $isReckoned,
            array_values(array_map(static fn (WantedPart $part): string => $part->getName(), $came)),
        );
    }

    /** @return JobMoney|null where it has come to more than its owner agreed to; null where not, or where nobody asked */
    public function past(Record $record): ?JobMoney
    {
        // Most jobs were never estimated: that is asked first.
        $money = [] === $this->estimates->ofJob($record->job) ? null : $this->of($record);

        return true === $money?->isPast() ? $money : null;
    }

    /** How long this shop takes against what is reckoned. */
    public function pace(): Pace
    {
        ['clocked' => $clocked, 'reckoned' => $reckoned, 'jobs' => $jobs] = $this->charges->clocked();

        return Pace::learned($clocked, $reckoned, $jobs);
    }

    /** @return float dollars an hour */
    public function wage(): float
    {
        return $this->book->prices()->all()['wage'];
    }

    /** What it may come to in the end, against what may be spent on it. */
    public function worth(Record $record, Pace $pace): Worth
    {
        $case = $record->case();
        // Every minute at the bench costs as many as this shop takes for it.
        ['wage' => $wage, 'base_hours' => $base] = $this->book->prices()->all();

        return Worth::judged(Chances::of($case, $this->assessor->beliefs($case), $this->cures), $this->cures, $wage * $pace->factor, $base, $record->job->getCap(), $record->job->getWorth());
    }
}
