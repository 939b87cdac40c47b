<?php

declare(strict_types=1);

namespace AwakeShed\Core\Simulation;

/** What a simulation came to. */
final readonly class SimulationResult
{
    public Tally $suggested;

    /** The suggestions again, on the machines that were worked in the other orders too. */
    public Tally $suggestedCompared;
    public Tally $textbook;
    public Tally $random;

    /** Of one who knows what is wrong, and the suggestions again on the machines on which he could show it. */
    public Tally $knowing;
    public Tally $suggestedKnown;

    /** Of every fault of every machine. */
    public Calibration $all;

    /** Of the fault believed most. */
    public Calibration $first;

    public function __construct()
    {
        [$this->suggested, $this->suggestedCompared, $this->textbook, $this->random] = [new Tally(), new Tally(), new Tally(), new Tally()];
        [$this->knowing, $this->suggestedKnown] = [new Tally(), new Tally()];
        [$this->all, $this->first] = [new Calibration(), new Calibration()];
    }

    public function suggest(Worked $suggested, Worked $knowing): void
    {
        $this->suggested->add($suggested);
        if ($knowing->found) {
            $this->knowing->add($knowing);
            $this->suggestedKnown->add($suggested);
        }
    }

    public function compare(Worked $suggested, Worked $textbook, Worked $random): void
    {
        $this->suggestedCompared->add($suggested);
        $this->textbook->add($textbook);
        $this->random->add($random);
    }

    public function see(Snapshot $snapshot): void
    {
        foreach ($snapshot->pairs() as [$belief, $isSo]) {
            $this->all->add($belief, $isSo);
        }
        $first = $snapshot->first();
        if (null !== $first) {
            $this->first->add(...$first);
        }
    }

    /** @return float minutes by the suggestions as a share of the textbook's, on the same machines */
    public function ratioToTextbook(): float
    {
        return $this->suggestedCompared->meanMinutes() / max(1e-9, $this->textbook->meanMinutes());
    }

    /** @return float minutes by the suggestions as a multiple of those of one who knows what is wrong, on the same machines */
    public function ratioToKnowing(): float
    {
        return $this->suggestedKnown->meanMinutes() / max(1e-9, $this->knowing->meanMinutes());
    }

    /** @return float minutes by the suggestions as a share of any order's, on the same machines */
    public function ratioToRandom(): float
    {
        return $this->suggestedCompared->meanMinutes() / max(1e-9, $this->random->meanMinutes());
    }
}
