<?php

declare(strict_types=1);

namespace AwakeShed\Core\Carburetor;

use AwakeShed\Core\Evidence\Vocabulary;

/** The benches of a job: what may lie on each, and what handling it means to the machine. */
final readonly class Benches
{
    private BenchActs $carburetorActs;
    private BenchActs $teardownActs;

    private function __construct(public Carburetors $carburetors, public Carburetors $teardowns, Vocabulary $vocabulary)
    {
        $this->carburetorActs = BenchActs::shipped($carburetors, $vocabulary);
        $this->teardownActs = BenchActs::ofTeardowns($teardowns, $vocabulary);
    }

    public static function shipped(Vocabulary $vocabulary): self
    {
        return new self(Carburetors::shipped(), Carburetors::teardowns(), $vocabulary);
    }

    public function at(Bench $bench): Carburetors
    {
        return Bench::Carburetor === $bench ? $this->carburetors : $this->teardowns;
    }

    public function actsAt(Bench $bench): BenchActs
    {
        return Bench::Carburetor === $bench ? $this->carburetorActs : $this->teardownActs;
    }
}
