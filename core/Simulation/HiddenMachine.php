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

    /** What a machine is for: a fault that can show in one of these keeps it from its work, once it does. */
    private const WORK = ['feel.pull', 'start.plain', 'run.steady', 'run.choke_off', 'run.load', 'run.minutes_later', 'run.idle', 'run.speed', 'gen.output', 'gen.frequency', 'washer.pressure'];

    /** What is done before anything is tried, whatever the order: water on, oil into a cylinder that stood long. */
    private const PREPARED = ['water.on', 'cylinder.oiled'];

    /** @var array<string, int> how often each test was asked */
    private array $asked = [];

    /** Whether it does, with the faults it has now; null where nobody has asked yet. */
    private ?bool $works = null;

    /** @var array<string, true> */
    private readonly array $hindering;

    /** @param array<string, true> $faults */
    private function __construct(private readonly FaultModel $model, private readonly Vocabulary $vocabulary, private readonly Dice $dice, public readonly CaseFile $intake, private array $faults)
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
        $machine = new self($model, $vocabulary, $dice, $told, $faults);
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

        return new self($model, $vocabulary, $dice, $told, $faults);
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
        $this->asked[$test] = ($this->asked[$test] ?? 0) + 1;

        return $this->shown($test, $this->asked[$test]);
    }

    private function shown(string $test, int $time): string
    {
        $model = $this->model->tests[$test];
        $roll = $this->dice->for($test.' '.$time)->roll();
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
            $this->works = null;
        }
    }

    /** @return list<string> the faults that keep it from its work; none where it works as it is, and what once happened to it is none */
    public function hindered(): array
    {
        return ($this->works ??= $this->works()) ? [] : array_keys(array_intersect_key($this->faults, $this->hindering));
    }

    /** Whether it would do what it is for, tried for the first time and nothing put right. */
    private function works(): bool
    {
        foreach (self::WORK as $test) {
            if ($this->vocabulary->applies($test, $this->intake->machine) && 0 !== $this->model->tests[$test]->place($this->shown($test, 1))) {
                return false;
            }
        }

        return true;
    }

    /** @return array<string, true> */
    private static function hindering(FaultModel $model): array
    {
        $hindering = [];
        foreach ($model->tests as $test => $shows) {
            if (\in_array($test, self::WORK, true)) {
                foreach (array_filter(array_keys($shows->causes), Suspect::canPutRight(...)) as $fault) {
                    $hindering[$fault] = true;
                }
            }
        }

        return $hindering;
    }
}
