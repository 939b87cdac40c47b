<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc;

/** One number a calculation takes. */
final readonly class CalcInput
{
    /** @param float|null $default what is taken when it is not given; null: it must be given */
    public function __construct(public string $about, public string $unit, public float $least, public float $most, public ?float $default = null)
    {
    }

    /** @return array<string, mixed> as JSON Schema */
    public function schema(): array
    {
        return [
            'description' => \sprintf('%s (%s)', $this->about, $this->unit),
            'type' => 'number',
            'minimum' => $this->least,
            'maximum' => $this->most,
        ] + (null === $this->default ? [] : ['default' => $this->default]);
    }
}
