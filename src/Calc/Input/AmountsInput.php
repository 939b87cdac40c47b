<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc\Input;

use AwakeShed\App\Form\AmountsType;
use AwakeShed\App\Form\ChipChoices;
use AwakeShed\App\Show\Measure;
use AwakeShed\App\Show\Quantities;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Quantity;
use AwakeShed\Core\Units\Unit;

/** Some quantities of one kind in order, none being no offence. */
final readonly class AmountsInput implements Input
{
    public const MOST = 40;

    private Interval $possible;

    /** @param list<float> $default in the unit of the numbers in JSON */
    public function __construct(private Measure $measure, Unit $unit, float $least, float $most, private array $default = [])
    {
        $this->possible = new Interval($least, $most, $unit);
    }

    public function schema(string $about): array
    {
        return [
            'description' => \sprintf('%s (%s)', $about, $this->possible->unit->symbol()),
            'type' => 'array',
            'maxItems' => self::MOST,
            'items' => ['type' => 'number', 'minimum' => $this->possible->least, 'maximum' => $this->possible->most],
            'default' => $this->default,
        ];
    }

    /** @return list<Quantity> */
    public function read(mixed $json): array
    {
        $json ??= $this->default;
        if (!\is_array($json) || !array_is_list($json) || \count($json) > self::MOST) {
            throw new UnreadableInput(\sprintf('a list of up to %d numbers is wanted.', self::MOST));
        }

        return array_map(function (mixed $number): Quantity {
            if (!\is_int($number) && !\is_float($number)) {
                throw new UnreadableInput('numbers are wanted.');
            }
            if (!($number >= $this->possible->least && $number <= $this->possible->most)) {
                throw new UnreadableInput(\sprintf('%s %s, allowed %s to %s.', $number, $this->possible->unit->symbol(), $this->possible->least, $this->possible->most));
            }

            return $this->measure->quantity()::of((float) $number, $this->possible->unit);
        }, $json);
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
        return $this->read(null);
    }

    public function field(Quantities $quantities, ChipChoices $choices): array
    {
        return [AmountsType::class, ['measure' => $this->measure, 'possible' => $this->possible->in($quantities->unit($this->measure)), 'most' => self::MOST]];
    }
}
