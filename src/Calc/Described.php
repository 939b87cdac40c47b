<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc;

use AwakeShed\App\Calc\Input\Input;

/** For a calculation: says what its attribute says ({@see AsCalculation}), and puts together once what it asks for. */
trait Described
{
    private ?AsCalculation $said = null;

    /** @var array<string, Input>|null asked for by the form, its view and the answer */
    private ?array $inputs = null;

    /** By which the container finds it. */
    public static function called(): string
    {
        return AsCalculation::of(static::class)->name;
    }

    public function name(): string
    {
        return $this->said()->name;
    }

    public function topic(): Topic
    {
        return $this->said()->topic;
    }

    public function act(): ?string
    {
        return $this->said()->act;
    }

    public function inputs(): array
    {
        return $this->inputs ??= $this->asks();
    }

    /** @return array<string, Input> {@see Calculation::inputs()} */
    abstract protected function asks(): array;

    private function said(): AsCalculation
    {
        return $this->said ??= AsCalculation::of(static::class);
    }
}
