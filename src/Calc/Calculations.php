<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc;

use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/** All calculations there are. */
final readonly class Calculations
{
    /** @param iterable<Calculation> $calculations */
    public function __construct(#[AutowireIterator(Calculation::class)] private iterable $calculations)
    {
    }

    /** @return list<Calculation> by topic, then by name */
    public function all(): array
    {
        $all = [...$this->calculations];
        $topics = array_flip(array_column(Topic::cases(), 'value'));
        usort($all, static fn (Calculation $one, Calculation $other): int => [$topics[$one->topic()->value], $one->name()] <=> [$topics[$other->topic()->value], $other->name()]);

        return $all;
    }

    public function named(string $name): ?Calculation
    {
        foreach ($this->calculations as $calculation) {
            if ($calculation->name() === $name) {
                return $calculation;
            }
        }

        return null;
    }

    /** @return list<Calculation> those that say what a test showed */
    public function forAct(string $test): array
    {
        return array_values(array_filter($this->all(), static fn (Calculation $calculation): bool => $calculation->act() === $test));
    }
}
