<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc\Input;

use AwakeShed\App\Form\AmountType;
use AwakeShed\App\Form\ChipChoices;
use AwakeShed\App\Unit\Measure;
use AwakeShed\App\Unit\Quantities;
use AwakeShed\Core\Spec\SpecFigure;
use AwakeShed\Core\Units\CountUnit;
use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Quantity;
use AwakeShed\Core\Units\Unit;

/** A quantity: a bare number in a named unit in JSON, the reader's unit or any other on a page. */
final readonly class AmountInput implements Input
{
    /** @param array{float, float}|null $usual outside of which a page asks */
    private function __construct(
        private Measure $measure,
        private Interval $possible,
        private ?float $default = null,
        private bool $isOptional = false,
        private ?array $usual = null,
        /** Under which the spec book knows it. */
        public ?SpecFigure $figure = null,
        /** Taken with the page's stopwatch. */
        private bool $isTimed = false,
        /** A matter of the job, not a reading: what was put into its record last is filled in again. */
        public bool $isKept = false,
    ) {
    }

    /**
     * @param Unit  $unit  of the number in JSON; its symbol is part of the input's name
     * @param float $least allowed, in that unit
     * @param float $most  allowed, in that unit
     */
    public static function between(Measure $measure, Unit $unit, float $least, float $most): self
    {
        return new self($measure, new Interval($least, $most, $unit));
    }

    public function by(float $default): self
    {
        return new self($this->measure, $this->possible, $default, $this->isOptional, $this->usual, $this->figure, $this->isTimed, $this->isKept);
    }

    public function optional(): self
    {
        return new self($this->measure, $this->possible, $this->default, true, $this->usual, $this->figure, $this->isTimed, $this->isKept);
    }

    public function usually(float $least, float $most): self
    {
        return new self($this->measure, $this->possible, $this->default, $this->isOptional, [$least, $most], $this->figure, $this->isTimed, $this->isKept);
    }

    public function timed(): self
    {
        return new self($this->measure, $this->possible, $this->default, $this->isOptional, $this->usual, $this->figure, true, $this->isKept);
    }

    public function kept(): self
    {
        return new self($this->measure, $this->possible, $this->default, $this->isOptional, $this->usual, $this->figure, $this->isTimed, true);
    }

    public function inSpecBook(SpecFigure $figure): self
    {
        return new self($this->measure, $this->possible, $this->default, $this->isOptional, $this->usual, $figure, $this->isTimed, $this->isKept);
    }

    public function schema(string $about): array
    {
        return [
            'description' => \sprintf('%s (%s)', $about, $this->possible->unit->symbol()),
            'type' => $this->possible->unit instanceof CountUnit ? 'integer' : 'number',
            'minimum' => $this->possible->least,
            'maximum' => $this->possible->most,
        ] + (null === $this->default ? [] : ['default' => $this->default]);
    }

    public function read(mixed $json): ?Quantity
    {
        $number = $json ?? $this->default;
        if (null === $number && $this->isOptional) {
            return null;
        }
        if (!\is_int($number) && !\is_float($number)) {
            throw new UnreadableInput(null === $number ? 'missing.' : 'a number is wanted.');
        }
        if (!($number >= $this->possible->least && $number <= $this->possible->most)) {
            throw new UnreadableInput(\sprintf('%s %s, allowed %s to %s.', $number, $this->possible->unit->symbol(), $this->possible->least, $this->possible->most));
        }

        try {
            return $this->measure->quantity()::of((float) $number, $this->possible->unit);
        } catch (ImpossibleAmount $impossible) {
            throw new UnreadableInput(lcfirst($impossible->getMessage()));
        }
    }

    public function write(mixed $value): ?float
    {
        return $value instanceof Quantity ? round($value->in($this->possible->unit), 9) : null;
    }

    public function isRequired(): bool
    {
        return !$this->isOptional && null === $this->default;
    }

    public function default(): ?Quantity
    {
        return null === $this->default ? null : $this->measure->quantity()::of($this->default, $this->possible->unit);
    }

    public function field(Quantities $quantities, ChipChoices $choices): array
    {
        $unit = $quantities->unit($this->measure);

        return [AmountType::class, [
            'measure' => $this->measure,
            // In the reader's own unit, so that a refusal speaks it too.
            'possible' => $this->possible->in($unit),
            'usual' => null === $this->usual ? null : (new Interval($this->usual[0], $this->usual[1], $this->possible->unit))->in($unit),
            'required' => $this->isRequired(),
            'attr' => ['inputmode' => 'decimal', 'autocomplete' => 'off'] + ($this->isTimed ? ['data-timed' => ''] : []),
        ]];
    }
}
