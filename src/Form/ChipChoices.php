<?php

declare(strict_types=1);

namespace AwakeShed\App\Form;

use AwakeShed\App\Words\Words;

/** Choices out of enums and out of the vocabulary, labelled in the reader's words. */
final readonly class ChipChoices
{
    public function __construct(private Words $words)
    {
    }

    /**
     * @template E of \BackedEnum
     *
     * @param class-string<E> $enum
     * @param string          $prefix of the words' ids, e.g. "kind"
     *
     * @return array<string, mixed> form options
     */
    public function ofEnum(string $enum, string $prefix): array
    {
        return [
            'choices' => $enum::cases(),
            'choice_value' => static fn (?\BackedEnum $case): string => (string) $case?->value,
            'choice_label' => fn (\BackedEnum $case): string => $this->words->outcome($prefix, (string) $case->value),
            'choice_translation_domain' => false,
        ];
    }

    /** @return array<string, mixed> form options; the model values are outcome ids */
    public function ofTest(string $test): array
    {
        return [
            'choices' => $this->words->outcomesOf($test),
            'choice_label' => fn (string $outcome): string => $this->words->outcome($test, $outcome),
            'choice_translation_domain' => false,
        ];
    }
}
