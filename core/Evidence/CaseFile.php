<?php

declare(strict_types=1);

namespace AwakeShed\Core\Evidence;

/** All the evidence of one job, in the order it came: the machine, the schools chosen, findings and cures. */
final readonly class CaseFile
{
    /** @var array<string, int> by test, the place of its last finding among the events */
    private array $lastFound;

    /** @var array<string, int> by fault, the place of its last cure */
    private array $lastCured;

    /** @var array<string, array<string, true>> by test, every outcome that was ever found */
    private array $everSaid;

    /**
     * @param list<Finding|PutRight>                         $events
     * @param array<string, string>                          $schools question => chosen school
     * @param array<string, \AwakeShed\Core\Fuel\JarReading> $jars    the jars behind the findings, by sample (tank, bowl)
     * @param array<string, mixed>                           $extras  keys of a read case file that mean nothing here, kept for writing
     * @param bool                                           $isApart the carburetor is stripped, or refitted and not checked
     */
    public function __construct(
        public MachineFacts $machine,
        public array $events = [],
        public array $schools = [],
        public array $jars = [],
        public array $extras = [],
        public bool $isApart = false,
    ) {
        $found = $cured = $said = [];
        foreach ($events as $place => $event) {
            if ($event instanceof Finding) {
                $found[$event->test] = $place;
                foreach ($event->outcomes as $outcome) {
                    $said[$event->test][$outcome] = true;
                }
            } else {
                $cured[$event->fault] = $place;
            }
        }
        $this->lastFound = $found;
        $this->lastCured = $cured;
        $this->everSaid = $said;
    }

    /** The finding of a test that stands: the last made. */
    public function standing(string $test): ?Finding
    {
        $event = isset($this->lastFound[$test]) ? $this->events[$this->lastFound[$test]] : null;

        return $event instanceof Finding ? $event : null;
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

    /** Whether any fault of the list was put right after the last finding of this test. */
    public function putRightSince(string $test, string ...$faults): bool
    {
        $found = $this->lastFound[$test] ?? -1;
        foreach ($faults as $fault) {
            if (($this->lastCured[$fault] ?? -1) > $found) {
                return true;
            }
        }

        return false;
    }

    /** Whether the finding of a test that stands came after so many events. */
    public function isFoundAfter(string $test, int $events): bool
    {
        return ($this->lastFound[$test] ?? -1) >= $events;
    }

    public function wasPutRight(string $fault): bool
    {
        return isset($this->lastCured[$fault]);
    }

    public function with(Finding|PutRight $event): self
    {
        return new self($this->machine, [...$this->events, $event], $this->schools, $this->jars, $this->extras, $this->isApart);
    }
}
