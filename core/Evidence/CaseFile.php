<?php

declare(strict_types=1);

namespace AwakeShed\Core\Evidence;

/**
 * All the evidence of one job, in the order it came: the machine, the schools chosen, findings, acts and cures. It is
 * folded once, in that order, into what stands now.
 *
 * A finding says how something was; an act changes how it is. What an act changed, earlier findings no longer speak for.
 */
final readonly class CaseFile
{
    public MachineState $state;

    /** @var array<string, array{int, Finding}> by test, the finding that stands and its place among the events */
    private array $standing;

    /** @var array<string, array{int, Finding}> by test, its last finding, whether it stands or not */
    private array $last;

    /** @var array<string, ActDefinition> by test that was not made since, the last act that changed what it looks at */
    private array $changed;

    /** @var array<string, int> by fault, the place of its last cure */
    private array $lastCured;

    /** @var array<string, array<string, true>> by test, every outcome that was ever found */
    private array $everSaid;

    /**
     * @param list<Finding|PutRight|Done>                    $events
     * @param array<string, string>                          $schools question => chosen school
     * @param array<string, \AwakeShed\Core\Fuel\JarReading> $jars    the jars behind the findings, by sample (tank, bowl)
     * @param array<string, mixed>                           $extras  keys of a read case file that mean nothing here, kept for writing
     */
    public function __construct(
        public MachineFacts $machine,
        public array $events = [],
        public array $schools = [],
        public array $jars = [],
        public array $extras = [],
    ) {
        $standing = $last = $changed = $cured = $said = [];
        $states = $places = $touched = $acts = $counts = [];
        foreach ($events as $place => $event) {
            if ($event instanceof PutRight) {
                $cured[$event->fault] = $place;
                continue;
            }
            if ($event instanceof Finding) {
                $found = [$event];
            } else {
                $act = $event->act;
                foreach ($act->voids as $test) {
                    $changed[$test] = $act;
                    unset($standing[$test]);
                }
                foreach ($act->putsRight as $fault) {
                    $cured[$fault] = $place;
                }
                $states[$act->thing] = $act->state;
                $places[$act->thing] = $act->place() ?? $places[$act->thing] ?? null;
                $touched[$act->thing] = $acts[$act->id] = $place;
                $counts[$act->id] = ($counts[$act->id] ?? 0) + 1;
                $found = $act->shows;
            }
            foreach ($found as $finding) {
                $standing[$finding->test] = $last[$finding->test] = [$place, $finding];
                unset($changed[$finding->test]);
                foreach ($finding->outcomes as $outcome) {
                    $said[$finding->test][$outcome] = true;
                }
            }
        }
        $this->standing = $standing;
        $this->last = $last;
        $this->changed = $changed;
        $this->lastCured = $cured;
        $this->everSaid = $said;
        $this->state = new MachineState($states, array_filter($places, is_string(...)), $touched, $acts, $counts);
    }

    /**
     * What is known of each thing, by what was last done to it: what is filled is another thing once it was looked at.
     *
     * @return array<string, string> thing => state, the last touched last
     */
    public function things(): array
    {
        $states = $this->state->states;
        if ('filled' === ($states['crankcase'] ?? null) && $this->foundAt('look.oil_level') > $this->state->touched('crankcase')) {
            $states['crankcase'] = 'filled_and_looked_at';
        }
        uksort($states, fn (string $one, string $other): int => $this->state->touched($one) <=> $this->state->touched($other));

        return $states;
    }

    /** The finding of a test that stands: the last made, unless an act has changed what it looked at. */
    public function standing(string $test): ?Finding
    {
        return $this->standing[$test][1] ?? null;
    }

    /** The last finding of a test, whether it stands or not. */
    public function lastFound(string $test): ?Finding
    {
        return $this->last[$test][1] ?? null;
    }

    /** @return int the place among the events of the last finding of a test, whether it stands or not; MachineState::NEVER when there is none */
    public function lastFoundAt(string $test): int
    {
        return $this->last[$test][0] ?? MachineState::NEVER;
    }

    /** Whether a finding of the test was made and an act has changed since what it looked at. */
    public function isVoided(string $test): bool
    {
        return isset($this->changed[$test], $this->last[$test]);
    }

    /** The last act that changed what a test looks at, where it was not made since. */
    public function changedBy(string $test): ?ActDefinition
    {
        return $this->changed[$test] ?? null;
    }

    /**
     * Whether any of these was ever found, whatever stands now: a cylinder that was full was full, whatever is found
     * after it was cleared.
     *
     * @param array<string, list<string>> $whenAny outcomes by test
     */
    public function everSaid(array $whenAny): bool
    {
        foreach ($whenAny as $test => $outcomes) {
            foreach ($outcomes as $outcome) {
                if (isset($this->everSaid[$test][$outcome])) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * Whether any of these stands now.
     *
     * @param array<string, list<string>> $whenAny outcomes by test
     */
    public function says(array $whenAny): bool
    {
        foreach ($whenAny as $test => $outcomes) {
            if (true === $this->standing($test)?->saysAnyOf($outcomes)) {
                return true;
            }
        }

        return false;
    }

    /** Whether any fault of the list was put right after the last finding of this test. */
    public function putRightSince(string $test, string ...$faults): bool
    {
        $found = $this->last[$test][0] ?? MachineState::NEVER;
        foreach ($faults as $fault) {
            if (($this->lastCured[$fault] ?? MachineState::NEVER) > $found) {
                return true;
            }
        }

        return false;
    }

    /** @return int the place among the events of the finding of a test that stands; MachineState::NEVER when none does */
    public function foundAt(string $test): int
    {
        return $this->standing[$test][0] ?? MachineState::NEVER;
    }

    /** @return int the place among the events of a fault's last cure; MachineState::NEVER when it never was put right */
    public function curedAt(string $fault): int
    {
        return $this->lastCured[$fault] ?? MachineState::NEVER;
    }

    public function wasPutRight(string $fault): bool
    {
        return isset($this->lastCured[$fault]);
    }

    /** @return list<string> the faults that were put right, by an act or by word */
    public function cured(): array
    {
        return array_keys($this->lastCured);
    }

    public function with(Finding|PutRight|Done $event): self
    {
        return new self($this->machine, [...$this->events, $event], $this->schools, $this->jars, $this->extras);
    }
}
