<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc\Input;

use AwakeShed\App\Form\AmountType;
use AwakeShed\App\Form\ChipChoices;
use AwakeShed\App\Unit\Measure;
use AwakeShed\App\Unit\Quantities;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Quantity;
use AwakeShed\Core\Units\Unit;

/** Some quantities of one kind in order, none being no offence. */
final readonly class AmountsInput implements Input
{
    public const MOST = 40;

    private AmountInput $each;
    private Interval $possible;

    /** @param list<float> $taps values that are a tap each on its page, in the unit */
    public function __construct(private Measure $measure, Unit $unit, float $least, float $most, private array $taps = [])
    {
        $this->each = AmountInput::between($measure, $unit, $least, $most);
        $this->possible = new Interval($least, $most, $unit);
    }

    public function schema(string $about): array
    {
        return [
            'description' => \sprintf('%s (%s)', $about, $this->possible->unit->symbol()),
            'type' => 'array',
            'maxItems' => self::MOST,
            'items' => ['type' => 'number', 'minimum' => $this->possible->least, 'maximum' => $this->possible->most],
            'default' => [],
        ];
    }

    /** @return list<Quantity> */
    public function read(mixed $json): array
    {
        $json ??= [];
        if (!\is_array($json) || !array_is_list($json) || \count($json) > self::MOST) {
            throw new UnreadableInput(\sprintf('a list of up to %d numbers is wanted.', self::MOST));
        }

        return array_map(fn (mixed $number): Quantity => $this->each->read($number) ?? throw new UnreadableInput('numbers are wanted.'), $json);
    }

    /** @return list<float> */
    public function write(mixed $value): array
    {
        return array_map(
            fn (mixed $one): float => $one instanceof Quantity ? round($one->in($this->possible->unit), 9) : \NAN,
            \is_array($value) ? array_values($value) : [],
        );
    }

    public function isRequired(): bool
    {
        return false;
    }

    /** @return list<Quantity> */
    public function default(): array
    {
        return [];
    }

    public function field(Quantities $quantities, ChipChoices $choices): array
    {
        return [AmountType::class, ['measure' => $this->measure, 'possible' => $this->possible->in($quantities->unit($this->measure)), 'most' => self::MOST, 'attr' => ['autocomplete' => 'off'] + ([] === $this->taps ? [] : ['data-taps' => implode(' ', $this->taps)])]];
    }
}
