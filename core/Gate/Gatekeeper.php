<?php

declare(strict_types=1);

namespace AwakeShed\Core\Gate;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\HoldDefinition;
use AwakeShed\Core\Evidence\Prerequisite;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Core\Evidence\TestPattern;
use AwakeShed\Core\Evidence\Vocabulary;

/**
 * Says which tests are closed on a machine as its evidence stands, and by what.
 *
 * The vocabulary's rules, and three stricter ones of the house: a hold released by a cure still wants what set it
 * looked at again; a hold set by two different tests is released only by both; and {@see Prerequisite}. Beside them, an
 * engine is not started while its carburetor is apart or not checked.
 */
final readonly class Gatekeeper
{
    /** What wants the carburetor on and checked. */
    private const NOT_APART = ['start.*', 'run.*'];

    public function __construct(private Vocabulary $vocabulary)
    {
    }

    /**
     * @return list<Blocker> what must happen before this test may be made; empty when it is open
     *
     * @throws \AwakeShed\Core\Evidence\UnknownWord when the vocabulary has no such test
     */
    public function blockers(CaseFile $case, string $test): array
    {
        return $this->blockersAmong($case, $test, $this->holds($case), $this->demands($case));
    }

    /**
     * @param list<string>|null $among test ids; every test of the vocabulary when not given
     *
     * @return array<string, list<Blocker>> the closed ones among those that the machine can have, by id
     *
     * @throws \AwakeShed\Core\Evidence\UnknownWord when the vocabulary has no such test
     */
    public function closed(CaseFile $case, ?array $among = null): array
    {
        [$holds, $demands] = [$this->holds($case), $this->demands($case)];
        $closed = [];
        foreach ($among ?? array_keys($this->vocabulary->tests) as $test) {
            $blockers = $this->vocabulary->applies($test, $case->machine) ? $this->blockersAmong($case, $test, $holds, $demands) : [];
            if ([] !== $blockers) {
                $closed[$test] = $blockers;
            }
        }

        return $closed;
    }

    /** @return list<HoldDefinition> the holds set and not yet released */
    public function standingHolds(CaseFile $case): array
    {
        return array_values(array_filter(
            $this->vocabulary->holds,
            fn (HoldDefinition $hold): bool => HoldState::Set === $this->state($hold, $case),
        ));
    }

    /** @return list<string> the looks to be made once more, because what they found was put right since */
    public function looksOwed(CaseFile $case): array
    {
        $owed = [];
        foreach ($this->holds($case) as [$hold, $state]) {
            if (HoldState::CuredNotSeen === $state) {
                $owed = [...$owed, ...$this->toBeSeenAgain($hold, $case)];
            }
        }

        return array_values(array_unique($owed));
    }

    /**
     * @param list<array{HoldDefinition, HoldState}> $holds   that close anything
     * @param list<Prerequisite>                     $demands that the machine has not met
     *
     * @return list<Blocker>
     */
    private function blockersAmong(CaseFile $case, string $test, array $holds, array $demands): array
    {
        $blockers = [];
        foreach ($this->vocabulary->test($test)->after as $look) {
            if ($this->vocabulary->applies($look, $case->machine) && null === $case->standing($look)) {
                $blockers[] = Blocker::look($look);
            }
        }
        foreach ($holds as [$hold, $state]) {
            if ($hold->blocks($test)) {
                $blockers = [...$blockers, ...match ($state) {
                    HoldState::Clear => [],
                    HoldState::Set => [Blocker::hold($hold->id)],
                    HoldState::CuredNotSeen => array_map(Blocker::lookAgain(...), $this->toBeSeenAgain($hold, $case)),
                }];
            }
        }
        if ($case->isApart && TestPattern::matchesAny(self::NOT_APART, $test)) {
            $blockers[] = Blocker::refit();
        }
        foreach ($demands as $rule) {
            if ($rule->blocks($test)) {
                $blockers[] = Blocker::look($rule->test);
            }
        }

        return \count($blockers) < 2 ? $blockers : array_values(array_unique($blockers, \SORT_REGULAR));
    }

    /** @return list<array{HoldDefinition, HoldState}> those that are not clear */
    private function holds(CaseFile $case): array
    {
        $holds = [];
        foreach ($this->vocabulary->holds as $hold) {
            $state = $this->state($hold, $case);
            if (HoldState::Clear !== $state) {
                $holds[] = [$hold, $state];
            }
        }

        return $holds;
    }

    /** @return list<Prerequisite> */
    private function demands(CaseFile $case): array
    {
        return array_values(array_filter($this->vocabulary->prerequisites, fn (Prerequisite $rule): bool => $this->isDemanded($rule, $case)));
    }

    private function state(HoldDefinition $hold, CaseFile $case): HoldState
    {
        if (null !== $hold->kinds && !\in_array($case->machine->kind, $hold->kinds, true)) {
            return HoldState::Clear;
        }
        if ([] === $hold->untilPutRightAny) {
            return $this->latestSets($hold, $case) ? HoldState::Set : HoldState::Clear;
        }
        // Most holds were never set, and a record may be long.
        if (!$case->everSaid($hold->whenAny)) {
            return HoldState::Clear;
        }
        $state = HoldState::Clear;
        foreach ($case->events as $event) {
            if ($event instanceof PutRight && \in_array($event->fault, $hold->untilPutRightAny, true) && HoldState::Set === $state) {
                $state = HoldState::CuredNotSeen;
            } elseif ($event instanceof Finding && $hold->isSetBy($event) && $this->vocabulary->applies($event->test, $case->machine)) {
                $state = HoldState::Set;
            }
        }

        return HoldState::CuredNotSeen === $state && [] === $this->toBeSeenAgain($hold, $case) ? HoldState::Clear : $state;
    }

    private function latestSets(HoldDefinition $hold, CaseFile $case): bool
    {
        foreach (array_keys($hold->whenAny) as $test) {
            $standing = $case->standing($test);
            if (null !== $standing && $this->vocabulary->applies($test, $case->machine) && $hold->isSetBy($standing)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<string> the tests whose bad outcome was cured since, and which nobody has made again */
    private function toBeSeenAgain(HoldDefinition $hold, CaseFile $case): array
    {
        return array_values(array_filter(array_keys($hold->whenAny), static function (string $test) use ($hold, $case): bool {
            $standing = $case->standing($test);

            return null !== $standing && $hold->isSetBy($standing) && $case->putRightSince($test, ...$hold->untilPutRightAny);
        }));
    }

    private function isDemanded(Prerequisite $rule, CaseFile $case): bool
    {
        return ($case->standing($rule->claim)->number ?? 0.0) >= $rule->atLeast
            && true !== $case->standing($rule->test)?->saysAnyOf([$rule->outcome]);
    }
}
