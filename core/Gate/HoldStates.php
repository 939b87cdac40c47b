<?php

declare(strict_types=1);

namespace AwakeShed\Core\Gate;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\HoldDefinition;
use AwakeShed\Core\Evidence\Vocabulary;

/**
 * How every hold stands on one machine, folded from its events.
 *
 * A hold is set by each test by itself. What set it is cured by one of its faults put right, or no longer speaks because
 * an act changed what was looked at: either way it is to be looked at again. A test whose later finding is good lets go
 * what waits for a new look; what waits for a cure it does not.
 */
final readonly class HoldStates
{
    /**
     * @param list<HoldDefinition>                                $set   bad as it stands
     * @param list<array{HoldDefinition, non-empty-list<string>}> $again cured or changed since; the tests to be made once more
     */
    private function __construct(public array $set, public array $again)
    {
    }

    public static function folded(Vocabulary $vocabulary, CaseFile $case): self
    {
        // Most holds were never set, and a record may be long.
        $holds = array_filter($vocabulary->holds, static fn (HoldDefinition $hold): bool => (null === $hold->kinds || \in_array($case->machine->kind, $hold->kinds, true)) && $case->everSaid($hold->whenAny));
        if ([] === $holds) {
            return new self([], []);
        }
        /** @var array<int, array<string, bool>|null> $bad by hold, by test, whether it is bad still and not only to be looked at again */
        $bad = [];
        foreach ($case->events as $event) {
            foreach ($holds as $number => $hold) {
                if ($event instanceof Finding) {
                    self::found($hold, $event, $vocabulary, $case, $bad[$number]);
                    continue;
                }
                $cured = $event instanceof Done ? $event->act->putsRight : [$event->fault];
                $isCured = [] !== array_intersect($hold->untilPutRightAny, $cured);
                foreach ($bad[$number] ?? [] as $test => $isBad) {
                    if ($isBad && ($isCured || ($event instanceof Done && \in_array($test, $event->act->voids, true)))) {
                        $bad[$number][$test] = false;
                    }
                }
                foreach ($event instanceof Done ? $event->act->shows : [] as $shown) {
                    self::found($hold, $shown, $vocabulary, $case, $bad[$number]);
                }
            }
        }
        $set = $again = [];
        foreach ($bad as $number => $tests) {
            if (null === $tests || [] === $tests) {
                continue;
            }
            if (\in_array(true, $tests, true)) {
                $set[] = $holds[$number];
            } else {
                $again[] = [$holds[$number], array_keys($tests)];
            }
        }

        return new self($set, $again);
    }

    /** @param array<string, bool>|null $bad of this hold, by test */
    private static function found(HoldDefinition $hold, Finding $finding, Vocabulary $vocabulary, CaseFile $case, ?array &$bad): void
    {
        if (!isset($hold->whenAny[$finding->test]) || !$vocabulary->applies($finding->test, $case->machine)) {
            return;
        }
        if ($hold->isSetBy($finding)) {
            $bad[$finding->test] = true;
        } elseif (isset($bad[$finding->test]) && (!$bad[$finding->test] || [] === $hold->untilPutRightAny)) {
            unset($bad[$finding->test]);
        }
    }
}
