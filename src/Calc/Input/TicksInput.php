<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc\Input;

use AwakeShed\App\Form\ChipChoices;
use AwakeShed\App\Form\ChipsType;
use AwakeShed\App\Unit\Quantities;

/** Any of the cases of an enum, or none. */
final readonly class TicksInput implements Input
{
    /**
     * @param class-string<\BackedEnum> $enum
     * @param string                    $prefix of the words' ids
     */
    public function __construct(private string $enum, private string $prefix)
    {
    }

    public function schema(string $about): array
    {
        return ['description' => $about, 'type' => 'array', 'uniqueItems' => true, 'items' => ['enum' => array_column($this->enum::cases(), 'value')], 'default' => []];
    }

    /** @return list<\BackedEnum> */
    public function read(mixed $json): array
    {
        $cases = [];
        foreach (\is_array($json ?? []) ? ($json ?? []) : [$json] as $id) {
            $cases[] = (\is_string($id) ? $this->enum::tryFrom($id) : null)
                ?? throw new UnreadableInput(\sprintf('some of %s are wanted.', implode(', ', array_column($this->enum::cases(), 'value'))));
        }

        return $cases;
    }

    /** @return list<string> */
    public function write(mixed $value): array
    {
        return array_map(static fn (mixed $case): string => $case instanceof \BackedEnum ? (string) $case->value : '', \is_array($value) ? array_values($value) : []);
    }

    public function isRequired(): bool
    {
        return false;
    }

    /** @return list<\BackedEnum> */
    public function default(): array
    {
        return [];
    }

    public function field(Quantities $quantities, ChipChoices $choices): array
    {
        return [ChipsType::class, $choices->ofEnum($this->enum, $this->prefix) + ['multiple' => true]];
    }
}
