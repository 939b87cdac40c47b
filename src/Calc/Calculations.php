<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc;

use Symfony\Component\DependencyInjection\Attribute\AutowireLocator;
use Symfony\Component\DependencyInjection\ServiceLocator;

/** All calculations there are. What they are called and of is read off their classes, so that none is made but those asked for. */
final class Calculations
{
    /** @var array<string, AsCalculation>|null what each says of itself, by name, in the order of topics and then of names */
    private ?array $said = null;

    /** @param ServiceLocator<Calculation> $calculations by name */
    public function __construct(#[AutowireLocator(Calculation::class, defaultIndexMethod: 'called')] private readonly ServiceLocator $calculations)
    {
    }

    /** @return list<Calculation> by topic, then by name */
    public function all(): array
    {
        return $this->those(static fn (): bool => true);
    }

    public function named(string $name): ?Calculation
    {
        return $this->calculations->has($name) ? $this->calculations->get($name) : null;
    }

    /** @return list<Calculation> those that say what a test showed, by topic, then by name */
    public function forAct(string $test): array
    {
        return $this->those(static fn (AsCalculation $one): bool => $one->act === $test);
    }

    /**
     * @param \Closure(AsCalculation): bool $wanted
     *
     * @return list<Calculation>
     */
    private function those(\Closure $wanted): array
    {
        return array_map($this->calculations->get(...), array_keys(array_filter($this->said(), $wanted)));
    }

    /** @return array<string, AsCalculation> */
    private function said(): array
    {
        if (null === $this->said) {
            $topics = array_flip(array_column(Topic::cases(), 'value'));
            /** @var array<string, class-string<Calculation>> $classes */
            $classes = $this->calculations->getProvidedServices();
            $this->said = array_map(AsCalculation::of(...), $classes);
            uasort($this->said, static fn (AsCalculation $one, AsCalculation $other): int => [$topics[$one->topic->value], $one->name] <=> [$topics[$other->topic->value], $other->name]);
        }

        return $this->said;
    }
}
