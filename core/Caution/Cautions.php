<?php

declare(strict_types=1);

namespace AwakeShed\Core\Caution;

use AwakeShed\Core\Stage\Step;
use AwakeShed\Core\Table;

/** What is warned of before each thing that can hurt is done (data/cautions.json). */
final readonly class Cautions
{
    /**
     * @param array<string, string>       $hazards      by caution, what it is about
     * @param array<string, list<string>> $tests
     * @param array<string, list<string>> $acts
     * @param array<string, list<string>> $steps
     * @param array<string, list<string>> $gates
     * @param array<string, list<string>> $checks
     * @param array<string, list<string>> $calculations
     */
    private function __construct(public array $hazards, private array $tests, private array $acts, private array $steps, private array $gates, private array $checks, private array $calculations)
    {
    }

    public static function shipped(): self
    {
        /** @var array{hazards: array<string, string>, tests: array<string, list<string>>, acts: array<string, list<string>>, steps: array<string, list<string>>, gates: array<string, list<string>>, checks: array<string, list<string>>, calculations: array<string, list<string>>} $data */
        $data = Table::read(__DIR__.'/data/cautions.json');

        return new self($data['hazards'], $data['tests'], $data['acts'], $data['steps'], $data['gates'], $data['checks'], $data['calculations']);
    }

    /** @return list<string> ids of cautions, before a test of the vocabulary */
    public function ofTest(string $test): array
    {
        return $this->tests[$test] ?? [];
    }

    /** @return list<string> before an act of the vocabulary */
    public function ofAct(string $act): array
    {
        return $this->acts[$act] ?? [];
    }

    /** @return list<string> before a step of a stage: what its test or its acts are warned of, and its own */
    public function ofStep(Step $step): array
    {
        return array_values(array_unique([
            ...$this->steps[$step->id] ?? [],
            ...null === $step->test ? [] : $this->ofTest($step->test),
            ...array_merge([], ...array_map($this->ofAct(...), array_values($step->does))),
        ]));
    }

    /** @return list<string> at a gate of the walk */
    public function atGate(string $gate): array
    {
        return $this->gates[$gate] ?? [];
    }

    /** @return list<string> before a point of the carburetor check */
    public function ofCheck(string $check): array
    {
        return $this->checks[$check] ?? [];
    }

    /** @return list<string> before what is worked out is done */
    public function ofCalculation(string $calculation): array
    {
        return $this->calculations[$calculation] ?? [];
    }
}
