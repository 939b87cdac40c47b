<?php

declare(strict_types=1);

namespace AwakeShed\App\Unit;

use AwakeShed\App\Reader\Reader;
use AwakeShed\Core\Refusal;
use AwakeShed\Core\Units\Duration;
use AwakeShed\Core\Units\DurationUnit;
use AwakeShed\Core\Units\MoneyUnit;
use AwakeShed\Core\Units\Quantity;
use AwakeShed\Core\Units\TypedAmount;
use AwakeShed\Core\Units\Unit;
use AwakeShed\Core\Units\UnreadableAmount;
use Symfony\Contracts\Translation\TranslatorInterface;

/** Writes quantities in the reader's units, and reads what they type. */
final class Quantities
{
    /** @var array<int, \NumberFormatter> by digits after the sign: slow to make, so each is made once a request */
    private array $formatters = [];

    public function __construct(private readonly Reader $reader, private readonly TranslatorInterface $translator)
    {
    }

    public function unit(Measure $measure): Unit
    {
        return $measure->unit($this->reader->units());
    }

    /**
     * What was typed, in the reader's unit of the measure unless another stands behind it.
     *
     * @template Q of Quantity
     *
     * @param class-string<Q> $kind  of quantity the measure's readings are
     * @param Unit|null       $meant instead of the reader's
     *
     * @return Q
     *
     * @throws UnreadableAmount
     * @throws Refusal          when there can be no such amount
     */
    public function read(string $typed, Measure $measure, string $kind, ?Unit $meant = null): Quantity
    {
        $amount = TypedAmount::parse($typed, $meant ?? $this->unit($measure), $kind::units());

        return $kind::of($amount->amount, $amount->unit);
    }

    /** With its unit, e.g. "12.5 mL". */
    public function show(Quantity $quantity, Measure $measure): string
    {
        $unit = $this->unit($measure);

        $number = $this->number($quantity->in($unit), $measure->decimals($unit));

        return $unit instanceof MoneyUnit ? $unit->symbol().$number : trim($number.' '.$unit->symbol());
    }

    /** Without its unit, for a field that has it beside it; finer than shown, so that saving does not change it. */
    public function field(Quantity $quantity, Measure $measure): string
    {
        $unit = $this->unit($measure);

        return self::plain($quantity->in($unit), $measure->decimals($unit) + 1);
    }

    /**
     * As finely as it is shown: for an estimate offered in a field, whose digits would claim too much.
     *
     * @template Q of Quantity
     *
     * @param Q $quantity
     *
     * @return Q
     */
    public function rounded(Quantity $quantity, Measure $measure): Quantity
    {
        $unit = $this->unit($measure);

        return $quantity::of(round($quantity->in($unit), $measure->decimals($unit)), $unit);
    }

    /** Without trailing zeros, which would claim a precision nobody read. */
    public function number(float $amount, int $decimals): string
    {
        $formatter = $this->formatters[$decimals] ??= $this->formatter($decimals);

        return (string) $formatter->format(round($amount, $decimals) + 0.0);
    }

    /** To the second below two minutes, to the minute below two hours. */
    public function time(Duration $duration): string
    {
        $seconds = $duration->inSeconds();
        [$unit, $decimals] = match (true) {
            $seconds < 120 => [DurationUnit::Second, 0],
            $seconds < 7200 => [DurationUnit::Minute, 0],
            default => [DurationUnit::Hour, 1],
        };

        return $this->number($duration->in($unit), $decimals).' '.$this->translator->trans($unit->symbol());
    }

    private function formatter(int $decimals): \NumberFormatter
    {
        $formatter = new \NumberFormatter($this->reader->locale(), \NumberFormatter::DECIMAL);
        $formatter->setAttribute(\NumberFormatter::MAX_FRACTION_DIGITS, $decimals);

        return $formatter;
    }

    private static function plain(float $amount, int $decimals): string
    {
        $text = number_format($amount, $decimals, '.', '');

        return str_contains($text, '.') ? rtrim(rtrim($text, '0'), '.') : $text;
    }
}
