<?php

declare(strict_types=1);

namespace AwakeShed\App\Unit;

use AwakeShed\App\Reader\Reader;
use AwakeShed\App\Reader\UnitSystem;
use AwakeShed\Core\Refusal;
use AwakeShed\Core\Units\AmbiguousAmount;
use AwakeShed\Core\Units\DecimalText;
use AwakeShed\Core\Units\Duration;
use AwakeShed\Core\Units\DurationUnit;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\MoneyUnit;
use AwakeShed\Core\Units\Quantity;
use AwakeShed\Core\Units\TypedAmount;
use AwakeShed\Core\Units\Unit;
use AwakeShed\Core\Units\UnreadableAmount;
use Symfony\Contracts\Service\ResetInterface;
use Symfony\Contracts\Translation\TranslatorInterface;

/** Writes quantities in the reader's units, and reads what they type. */
final class Quantities implements ResetInterface
{
    /** @var array<int, \NumberFormatter> by digits after the sign: slow to make, so each is made once a request */
    private array $formatters = [];

    /** The reader's: a page asks a hundred times. */
    private ?UnitSystem $units = null;

    /** @var array<string, Unit> by measure: a form of twenty fields asks for few, and often */
    private array $ofMeasures = [];

    public function __construct(private readonly Reader $reader, private readonly TranslatorInterface $translator)
    {
    }

    public function reset(): void
    {
        $this->units = null;
        $this->ofMeasures = [];
    }

    public function unit(Measure $measure): Unit
    {
        return $this->ofMeasures[$measure->name] ??= $measure->unit($this->units());
    }

    /**
     * What was typed, in the reader's unit of the measure unless another stands behind it.
     *
     * @template Q of Quantity
     *
     * @param class-string<Q> $kind     of quantity the measure's readings are
     * @param Unit|null       $meant    instead of the reader's
     * @param Interval|null   $possible of the field: decides how "3,600" is read, where it can
     *
     * @return Q
     *
     * @throws UnreadableAmount
     * @throws AmbiguousAmount  when it may be two, and both are possible
     * @throws Refusal          when there can be no such amount
     */
    public function read(string $typed, Measure $measure, string $kind, ?Unit $meant = null, ?Interval $possible = null): Quantity
    {
        $amount = TypedAmount::parse($typed, $meant ?? $this->unit($measure), $kind::units(), $possible);

        return $kind::of($amount->amount, $amount->unit);
    }

    /**
     * What may have been meant by what is asked back or refused.
     *
     * @param Interval|null $usual of the field, where it is narrower
     *
     * @return list<string> each to be typed instead; none where what was typed is plain and usual, or is nothing
     */
    public function otherReadings(string $typed, Measure $measure, ?Interval $possible, ?Interval $usual): array
    {
        $usual ??= $possible;
        try {
            $amount = TypedAmount::parse($typed, $this->unit($measure), $measure->quantity()::units(), $possible);

            return null === $usual || $usual->in($amount->unit)->spans($amount->amount) ? [] : $amount->otherReadings($usual, $measure->unitsMeant());
        } catch (AmbiguousAmount $ambiguous) {
            return $ambiguous->readings();
        } catch (Refusal) {
            return [];
        }
    }

    /**
     * With its unit, e.g. "12.5 mL"; a large amount in the larger unit.
     *
     * @param Quantity|null $halfWidth what is known of it, give or take; no digit is shown that this makes idle
     */
    public function show(Quantity $quantity, Measure $measure, Rounding $rounding = Rounding::Nearest, ?Quantity $halfWidth = null): string
    {
        [$unit, $decimals] = $measure->shownIn($this->units(), $quantity);
        if (null !== $halfWidth) {
            $decimals = min($decimals, self::usefulDecimals($halfWidth->per($unit)));
        }

        $number = $this->number($rounding->round($quantity->in($unit), $decimals), $decimals);

        return $unit instanceof MoneyUnit ? $unit->symbol().$number : trim($number.' '.$this->translator->trans($unit->symbol()));
    }

    /** Without its unit, for a field that has it beside it; finer than shown, so that saving does not change it. */
    public function field(Quantity $quantity, Measure $measure): string
    {
        $unit = $this->unit($measure);

        return DecimalText::write(round($quantity->in($unit), $measure->decimals($unit) + 1));
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
        $shown = max(0, $decimals);
        $formatter = $this->formatters[$shown] ??= $this->formatter($shown);

        return (string) $formatter->format(round($amount, $decimals) + 0.0);
    }

    /** With its cents, or without any. */
    public function money(float $sum, int $decimals): string
    {
        $formatter = clone ($this->formatters[$decimals] ??= $this->formatter($decimals));
        $formatter->setAttribute(\NumberFormatter::MIN_FRACTION_DIGITS, $decimals);

        return (string) $formatter->format(round($sum, $decimals) + 0.0);
    }

    /** One digit of the uncertainty, two where the first is a one: more would claim what nobody knows. Negative for whole tens. */
    private static function usefulDecimals(float $halfWidth): int
    {
        if ($halfWidth <= 0.0) {
            return \PHP_INT_MAX;
        }
        $magnitude = (int) floor(log10($halfWidth) + 1e-9);

        return -$magnitude + ($halfWidth < 2 * 10 ** $magnitude ? 1 : 0);
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

    private function units(): UnitSystem
    {
        return $this->units ??= $this->reader->units();
    }
}
