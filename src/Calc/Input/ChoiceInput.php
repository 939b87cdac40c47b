<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc\Input;

use AwakeShed\App\Form\ChipChoices;
use AwakeShed\App\Form\ChipsType;
use AwakeShed\App\Unit\Quantities;

/** One of the cases of an enum. */
final readonly class ChoiceInput implements Input
{
    /**
     * @param class-string<\BackedEnum> $enum
     * @param string                    $prefix   of the words' ids
     * @param string|null               $question of the trade's schools that a job answers it by; null for none
     */
    public function __construct(private string $enum, private string $prefix, private \BackedEnum $default, public ?string $question = null)
    {
    }

    public function schema(string $about): array
    {
        return ['description' => $about, 'enum' => array_column($this->enum::cases(), 'value'), 'default' => $this->default->value];
    }

    public function read(mixed $json): \BackedEnum
    {
        $json ??= $this->default->value;
        $case = \is_string($json) ? $this->enum::tryFrom($json) : null;

        return $case ?? throw new UnreadableInput(\sprintf('one of %s is wanted.', implode(', ', array_column($this->enum::cases(), 'value'))));
    }

    public function write(mixed $value): string
    {
        return (string) ($value instanceof \BackedEnum ? $value : $this->default)->value;
    }

    public function isRequired(): bool
    {
        return false;
    }

    public function default(): \BackedEnum
    {
        return $this->default;
    }

    public function field(Quantities $quantities, ChipChoices $choices): array
    {
        // Taking every chip's mark away means what saying nothing means.
        return [ChipsType::class, $choices->ofEnum($this->enum, $this->prefix) + ['empty_data' => (string) $this->default->value]];
    }
}
