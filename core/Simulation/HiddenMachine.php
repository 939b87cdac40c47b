<?php

declare(strict_types=1);

namespace AwakeShed\Core\Simulation;

use AwakeShed\Core\Diagnosis\Beliefs;
use AwakeShed\Core\Diagnosis\FaultModel;
use AwakeShed\Core\Diagnosis\Network;
use AwakeShed\Core\Diagnosis\Suspect;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\Vocabulary;

/** A made-up machine with faults nobody has been told of, that answers tests as the model says such a machine does. */
final class HiddenMachine
{
    /** How often each kind is drawn (invented). */
    private const KINDS = ['mower' => 4, 'ride_on_mower' => 1, 'snowblower' => 3, 'generator' => 3, 'inverter_generator' => 1, 'pressure_washer' => 2, 'two_stroke_hand_tool' => 2];

    /** How long it stood, months, and what is said of its fuel and its lay-up (invented). */
    private const IDLE = [4 => 2, 8 => 3, 14 => 3, 26 => 3, 40 => 2, 72 => 1];
    private const FUELS = ['e10' => 5, 'ethanol_free' => 2, 'unknown' => 3];
    private const LAYUPS = ['fuel_left_in' => 5, 'run_dry' => 2, 'stabilised' => 2, 'unknown' => 3];

    /** A fault that can show in one of these keeps the machine from its work. */
    private const WORK = ['feel.pull', 'pull.plug_out', 'start.', 'run.'];

    /** What is done before anything is tried, whatever the order: water on, oil into a cylinder that stood long. */
    private const PREPARED = ['water.on', 'cylinder.oiled'];

    /** @var array<string, int> how often each test was asked */
    private array $asked = [];

    /** @var array<string, true> */
    private readonly array $hindering;

    /** @param array<string, true> $faults */
    private function __construct(private readonly FaultModel $model, private readonly Dice $dice, public readonly CaseFile $intake, private array $faults)
    {
        $this->hindering = self::hindering($model);
    }

    /** @param bool $hasOneFault exactly one, as often each as the model says of it; else as they fall */
    public static function draw(FaultModel $model, Vocabulary $vocabulary, Dice $dice, bool $hasOneFault = false): self
    {
        $facts = new MachineFacts(MachineKind::from($dice->pick(self::KINDS)));
        $told = new CaseFile($facts, [
            Finding::number('claim.idle_months', (float) $dice->pick(self::IDLE)),
            Finding::observed('claim.fuel_kind', $dice->pick(self::FUELS)),
            Finding::observed('claim.layup', $dice->pick(self::LAYUPS)),
        ]);
        $faults = $hasOneFault ? [self::one($model, $told, $dice) => true] : self::fall($model->network($told), $dice);
        $machine = new self($model, $dice, $told, $faults);
        foreach ($vocabulary->tests as $test) {
            if (str_starts_with($test->id, 'claim.') && isset($model->tests[$test->id])) {
                $told = $told->with(Finding::observed($test->id, $machine->answer($test->id)));
            }
        }

        foreach (self::PREPARED as $act) {
            if ($vocabulary->canBeDone($vocabulary->act($act), $facts)) {
                $told = $told->with(new Done($vocabulary->act($act)));
            }
        }

        return new self($model, $dice, $told, $faults);
    }

    private static function one(FaultModel $model, CaseFile $told, Dice $dice): string
    {
        $chances = Beliefs::before($model, $told);

        return $dice->pick([] === $chances ? throw new \LogicException('A machine without any fault to have.') : $chances);
    }

    /** @return array<string, true> the faults and hidden causes that happen to be there */
    private static function fall(Network $network, Dice $dice): array
    {
        $faults = [];
        foreach ($network->priors as $fault => $prior) {
            $faults += $dice->roll() < $prior ? [$fault => true] : [];
        }
        foreach ($network->brings as $bringer => $brought) {
            foreach (isset($faults[$bringer]) ? $brought : [] as $fault => $chance) {
                $faults += $dice->roll() < $chance ? [$fault => true] : [];
            }
        }

        return $faults;
    }

    /** What the test shows now; asked once more of the same machine, it may show something else. */
    public function answer(string $test): string
    {
        $model = $this->model->tests[$test];
        $this->asked[$test] = ($this->asked[$test] ?? 0) + 1;
        $roll = $this->dice->for($test.' '.$this->asked[$test])->roll();
        foreach ($model->outcomes as $place => $outcome) {
            $upTo = $model->soundUpTo($place);
            foreach (array_keys($this->faults) as $fault) {
                $upTo *= $model->upTo($fault, $place);
            }
            if ($roll < $upTo) {
                break;
            }
        }

        return $outcome ?? throw new \LogicException('A test without outcomes answers nothing.');
    }

    public function has(string $fault): bool
    {
        return isset($this->faults[$fault]);
    }

    public function putRight(string $fault): void
    {
        if ($this->dice->for('cure of '.$fault)->roll() >= FaultModel::CURE_FAILS) {
            unset($this->faults[$fault]);
        }
    }

    /** @return list<string> the faults that keep it from its work; what once happened to it is none */
    public function hindered(): array
    {
        return array_keys(array_intersect_key($this->faults, $this->hindering));
    }

    /** @return array<string, true> */
    private static function hindering(FaultModel $model): array
    {
        $hindering = [];
        foreach ($model->tests as $test => $shows) {
            if ([] !== array_filter(self::WORK, static fn (string $work): bool => str_starts_with($test, $work))) {
                foreach (array_filter(array_keys($shows->causes), Suspect::canPutRight(...)) as $fault) {
                    $hindering[$fault] = true;
                }
            }
        }

        return $hindering;
    }
}
