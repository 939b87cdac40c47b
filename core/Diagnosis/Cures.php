<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

use AwakeShed\Core\Table;

/** How long the cure of each fault takes by hand, and what its parts cost (data/cures.json; from memory). */
final readonly class Cures
{
    /**
     * @param array<string, array{int, int}> $minutes by fault, from the least to the most
     * @param array<string, array{int, int}> $dollars of parts, by fault, from the least to the most
     */
    private function __construct(private array $minutes, private array $dollars, public string $source)
    {
    }

    public static function shipped(): self
    {
        /** @var array{source_class: string, minutes: array<string, array{int, int}>, dollars: array<string, array{int, int}>} $data */
        $data = Table::read(__DIR__.'/data/cures.json');

        return new self($data['minutes'], $data['dollars'], $data['source_class']);
    }

    /** @return array{int, int} min */
    public function minutes(string $fault): array
    {
        return $this->minutes[$fault] ?? throw new \LogicException('Every fault of the vocabulary has a time.');
    }

    /** @return array{int, int} dollars of parts; none for what takes only hands */
    public function dollars(string $fault): array
    {
        return $this->dollars[$fault] ?? [0, 0];
    }
}
