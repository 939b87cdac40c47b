<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

use AwakeShed\Core\Table;

/** How long the cure of each fault takes by hand, and what its parts cost (data/cures.json; from memory). */
final readonly class Cures
{
    /**
     * @param array<string, array{int, int}> $minutes  by fault, from the least to the most
     * @param array<string, array{int, int}> $dollars  of parts, by fault, from the least to the most
     * @param list<list<string>>             $together faults whose cures share their work
     * @param float                          $beside   share of their own time that the others of such a group take beside the longest
     */
    private function __construct(private array $minutes, private array $dollars, private array $together, public float $beside, public string $source)
    {
    }

    public static function shipped(): self
    {
        /** @var array{source_class: string, minutes: array<string, array{int, int}>, dollars: array<string, array{int, int}>, together: list<list<string>>, beside: float} $data */
        $data = Table::read(__DIR__.'/data/cures.json');

        return new self($data['minutes'], $data['dollars'], $data['together'], $data['beside'], $data['source_class']);
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

    /**
     * @param list<string> $faults
     *
     * @return list<non-empty-list<string>> them by what shares its work, the longest of each group first
     */
    public function grouped(array $faults): array
    {
        $groups = [];
        foreach ($faults as $fault) {
            $name = $fault;
            foreach ($this->together as $place => $group) {
                $name = \in_array($fault, $group, true) ? (string) $place : $name;
            }
            $groups[$name][] = $fault;
        }

        return array_values(array_map(function (array $group): array {
            usort($group, fn (string $one, string $other): int => $this->minutes($other)[1] <=> $this->minutes($one)[1]);

            return $group;
        }, $groups));
    }
}
