<?php

declare(strict_types=1);

namespace AwakeShed\App\Form;

use AwakeShed\App\Unit\Quantities;
use AwakeShed\Core\Refusal;
use AwakeShed\Core\Units\Quantity;
use AwakeShed\Core\Units\TypedAmount;
use AwakeShed\Core\Units\Unit;

/** Writes amounts into their fields, in the reader's units, and reads what is typed there. */
final readonly class AmountTexts
{
    /** A comma parts readings where a space follows it; within a number it is a decimal comma. */
    private const BETWEEN = '/\s*[;\/]\s*|,\s+|\s+(?=\d)/u';

    public function __construct(private Quantities $quantities)
    {
    }

    /** @param mixed $value an amount, a row of them, or none */
    public function written(mixed $value, AmountAsked $asked): string
    {
        return implode('; ', array_map(
            fn (mixed $one): string => $one instanceof Quantity ? $this->quantities->field($one, $asked->measure) : '',
            \is_array($value) ? $value : [$value],
        ));
    }

    /**
     * @return Quantity|list<Quantity>|null a list where a row is asked for; null for nothing typed
     *
     * @throws Refusal
     */
    public function read(string $typed, AmountAsked $asked): Quantity|array|null
    {
        $text = trim(mb_scrub($typed));

        return match (true) {
            null !== $asked->most => $this->row($text, $asked, $asked->most),
            '' === $text => null,
            default => $this->one($text, null, $asked),
        };
    }

    /**
     * What may have been meant by what is asked back or refused. A row of readings is mended by typing.
     *
     * @return list<string>
     */
    public function readings(string $typed, AmountAsked $asked): array
    {
        return null !== $asked->most || '' === trim($typed) ? [] : $this->quantities->otherReadings(mb_scrub($typed), $asked->measure, $asked->possible, $asked->usual);
    }

    /** Of a number that stands alone. */
    public function unit(AmountAsked $asked): string
    {
        return $this->quantities->unit($asked->measure)->symbol();
    }

    /** @throws Refusal */
    private function one(string $text, ?Unit $meant, AmountAsked $asked): Quantity
    {
        $value = $this->quantities->read($text, $asked->measure, $asked->measure->quantity(), $meant, $asked->possible);
        $asked->possible?->demand($value);

        return $value;
    }

    /**
     * @return list<Quantity>
     *
     * @throws Refusal
     */
    private function row(string $text, AmountAsked $asked, int $most): array
    {
        $pieces = preg_split(self::BETWEEN, $text, -1, \PREG_SPLIT_NO_EMPTY);
        $pieces = false === $pieces ? [] : \array_slice($pieces, 0, $most);
        if ([] === $pieces) {
            return [];
        }
        $meant = TypedAmount::parse($pieces[\count($pieces) - 1], $this->quantities->unit($asked->measure), $asked->measure->quantity()::units(), $asked->possible)->unit;

        return array_map(fn (string $piece): Quantity => $this->one($piece, $meant, $asked), $pieces);
    }
}
