<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc;

use AwakeShed\App\Unit\Measure;
use AwakeShed\App\Unit\Rounding;
use AwakeShed\Core\Units\Quantity;
use AwakeShed\Core\Units\Unit;

/** One figure of an answer: a plain value for programs, and what a page needs to show it in the reader's way. */
final readonly class Figure
{
    private function __construct(
        /** Its name in JSON; a quantity's unit is part of it. */
        public string $key,
        /** @var bool|float|int|string|list<float|int|string>|null */
        public bool|float|int|string|array|null $plain,
        public ?Quantity $quantity = null,
        public ?Measure $measure = null,
        /** Digits after the sign, of a bare number. */
        public int $decimals = 0,
        /** Of the words of an id, or of each of them. */
        public ?string $words = null,
        /** Shown as per cent. */
        public bool $isShare = false,
        /** Give or take. */
        public ?Quantity $halfWidth = null,
        public Rounding $rounding = Rounding::Nearest,
        /** It is this, or more: the end of what can be worked out. */
        public bool $isAtLeast = false,
    ) {
    }

    /** @param Quantity|null $quantity null where there is none */
    public static function amount(string $key, ?Quantity $quantity, Unit $unit, Measure $measure, bool $isAtLeast = false): self
    {
        return new self($key, $quantity?->in($unit), $quantity, $measure, isAtLeast: $isAtLeast);
    }

    /** Shown no finer than what is known of it. */
    public static function within(string $key, Quantity $quantity, Quantity $halfWidth, Unit $unit, Measure $measure): self
    {
        return new self($key, $quantity->in($unit), $quantity, $measure, halfWidth: $halfWidth);
    }

    /** What must not be passed: never shown larger than it is. */
    public static function limit(string $key, ?Quantity $quantity, Unit $unit, Measure $measure): self
    {
        return new self($key, $quantity?->in($unit), $quantity, $measure, rounding: Rounding::Down);
    }

    /** What is held against a limit: never shown smaller than it is. */
    public static function against(string $key, ?Quantity $quantity, Unit $unit, Measure $measure): self
    {
        return new self($key, $quantity?->in($unit), $quantity, $measure, rounding: Rounding::Up);
    }

    public static function number(string $key, float|int|null $number, int $decimals = 0): self
    {
        return new self($key, $number, decimals: $decimals);
    }

    /** @param float|null $fraction 0 to 1, shown as per cent */
    public static function share(string $key, ?float $fraction, int $decimals = 1): self
    {
        return new self($key, $fraction, decimals: $decimals, isShare: true);
    }

    /** @param list<float> $fractions shown as per cent */
    public static function shares(string $key, array $fractions, int $decimals = 1): self
    {
        return new self($key, $fractions, decimals: $decimals, isShare: true);
    }

    /** @param string $prefix of the words' ids */
    public static function word(string $key, \BackedEnum|string|null $id, string $prefix): self
    {
        return new self($key, $id instanceof \BackedEnum ? $id->value : $id, words: $prefix);
    }

    /** @param list<\BackedEnum> $ids */
    public static function wordList(string $key, array $ids, string $prefix): self
    {
        return new self($key, array_column($ids, 'value'), words: $prefix);
    }

    public static function yesNo(string $key, bool $isSo): self
    {
        return new self($key, $isSo);
    }
}
