<?php

declare(strict_types=1);

namespace AwakeShed\Core\Evidence;

/** All the evidence of one job, in the order it came: the machine, the schools chosen, findings and cures. */
final readonly class CaseFile
{
    /**
     * @param list<Finding|PutRight>                         $events
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
    }

    /** The finding of a test that stands: the last made. */
    public function standing(string $test): ?Finding
    {
        for ($last = \count($this->events) - 1; $last >= 0; --$last) {
            $event = $this->events[$last];
            if ($event instanceof Finding && $event->test === $test) {
                return $event;
            }
        }

        return null;
    }

    /** Whether any fault of the list was put right after the last finding of this test. */
    public function putRightSince(string $test, string ...$faults): bool
    {
        for ($last = \count($this->events) - 1; $last >= 0; --$last) {
            $event = $this->events[$last];
            if ($event instanceof PutRight && \in_array($event->fault, $faults, true)) {
                return true;
            }
            if ($event instanceof Finding && $event->test === $test) {
                return false;
            }
        }

        return false;
    }

    public function wasPutRight(string $fault): bool
    {
        foreach ($this->events as $event) {
            if ($event instanceof PutRight && $event->fault === $fault) {
                return true;
            }
        }

        return false;
    }

    public function with(Finding|PutRight $event): self
    {
        return new self($this->machine, [...$this->events, $event], $this->schools, $this->jars, $this->extras);
    }
}
