<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\MachineState;

/** A place of the machine that has to be opened before some tests can be made. */
final readonly class AccessPlace
{
    /**
     * @param array<string, string>                                                        $openWhere place by thing, any of which says that it is open
     * @param array<string, float|int>                                                     $minutes   by kind of machine; "any" for the others
     * @param array<string, list<string>>                                                  $parts     that come off, by kind of machine; "any" for the others
     * @param array<string, array<string, array{minutes: float|int, parts: list<string>}>> $bySchool  by question and school
     * @param list<string>                                                                 $behind    tests whose own minutes begin once it is open
     * @param list<string>                                                                 $included  tests whose minutes hold the way in
     */
    public function __construct(
        public string $id,
        private array $openWhere,
        private array $minutes,
        private array $parts,
        private array $bySchool,
        public array $behind,
        public array $included,
    ) {
    }

    /** Whether it is open, as far as the record says: by what was done, or because something behind it was looked at since. */
    public function isOpen(CaseFile $case): bool
    {
        $touched = MachineState::NEVER;
        foreach ($this->openWhere as $thing => $place) {
            if ($place === $case->state->place($thing)) {
                return true;
            }
            $touched = max($touched, $case->state->touched($thing));
        }
        foreach ([...$this->behind, ...$this->included] as $test) {
            if ($case->lastFoundAt($test) > $touched) {
                return true;
            }
        }

        return false;
    }

    /** @return float min to open and close it on this machine */
    public function minutes(CaseFile $case): float
    {
        return (float) ($this->school($case)['minutes'] ?? $this->minutes[$case->machine->kind->value] ?? $this->minutes['any']);
    }

    /** @return list<string> what comes off */
    public function parts(CaseFile $case): array
    {
        return $this->school($case)['parts'] ?? $this->parts[$case->machine->kind->value] ?? $this->parts['any'];
    }

    /** @return float min of the test's own that fall away once it is open */
    public function included(string $test, CaseFile $case): float
    {
        return \in_array($test, $this->included, true) ? $this->minutes($case) : 0.0;
    }

    /** @return array{minutes: float|int, parts: list<string>}|null */
    private function school(CaseFile $case): ?array
    {
        foreach ($this->bySchool as $question => $schools) {
            if (isset($schools[$case->schools[$question] ?? ''])) {
                return $schools[$case->schools[$question]];
            }
        }

        return null;
    }
}
