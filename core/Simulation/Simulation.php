<?php

declare(strict_types=1);

namespace AwakeShed\Core\Simulation;

use AwakeShed\Core\Diagnosis\FaultModel;
use AwakeShed\Core\Diagnosis\Odds;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Gate\Gatekeeper;

/**
 * Puts the suggestions to the proof: draws machines with hidden faults from a world of its own ({@see World}) and works each by
 * what is suggested and in the order of one who knows what is wrong; every so many also in the textbook's order and in any
 * order. It shows how good the advice is if the model is right, or wrong in ways one can name; not that the model is right.
 */
final readonly class Simulation
{
    /** The moment of the snapshot is drawn from one to so many tests (invented). */
    private const LATEST_SNAPSHOT = 12;

    private Technician $technician;

    public function __construct(FaultModel $model, private Vocabulary $vocabulary, Gatekeeper $gatekeeper)
    {
        $this->technician = new Technician($model, $vocabulary, $gatekeeper);
    }

    /**
     * @param int                        $cases        at least 1
     * @param int                        $compareEvery at least 1: every so many machines are worked in the textbook's and in any order too
     * @param bool                       $whole        until nothing hinders a machine; else until the first fault that does is named
     * @param (\Closure(int): void)|null $progress     is told the number of machines done
     */
    public function run(int $cases, int $seed, int $compareEvery = 1, bool $whole = false, ?\Closure $progress = null, World $world = World::Model): SimulationResult
    {
        $result = new SimulationResult();
        $truth = $world->model(Odds::shipped(), (new Dice($seed))->for('world'));
        for ($case = 0; $case < $cases; ++$case) {
            $dice = (new Dice($seed))->for('machine '.$case);
            $anew = fn (): HiddenMachine => HiddenMachine::draw($truth, $this->vocabulary, $dice->for('faults'), $world->hasOneFault());
            $machine = $anew();
            $isHindered = [] !== $machine->hindered();
            $snapshot = new Snapshot((int) ($dice->for('snapshot')->roll() * self::LATEST_SNAPSHOT) + 1);
            $suggested = $this->technician->work($machine, Order::Suggested, $dice, $whole, $snapshot);
            $result->see($snapshot);
            if ($isHindered) {
                $result->suggest($suggested, $this->technician->work($anew(), Order::Knowing, $dice, $whole));
            }
            if ($isHindered && 0 === $case % $compareEvery) {
                $result->compare(
                    $suggested,
                    $this->technician->work($anew(), Order::Textbook, $dice, $whole),
                    $this->technician->work($anew(), Order::Random, $dice->for('order'), $whole),
                );
            }
            if (null !== $progress) {
                $progress($case + 1);
            }
        }

        return $result;
    }
}
