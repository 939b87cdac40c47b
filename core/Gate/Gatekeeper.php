<?php

declare(strict_types=1);

namespace AwakeShed\Core\Gate;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\HoldDefinition;
use AwakeShed\Core\Evidence\Prerequisite;
use AwakeShed\Core\Evidence\TestPattern;
use AwakeShed\Core\Evidence\Vocabulary;

/**
 * Says which tests are closed on a machine as its evidence stands, and by what.
 *
 * The vocabulary's rules; what the machine's present state closes ({@see Closures}); and stricter rules of the house: a
 * hold released by a cure, or by an act, still wants what set it looked at again; a hold set by two different tests is
 * released only by both; {@see Prerequisite}; and of oil that still smells after its first fill, one short run.
 */
final readonly class Gatekeeper
{
    /** What a first fill that still smells does not stand for: anything longer than the run that carries the rest out. */
    private const NOT_ON_RESIDUE = ['run.load', 'run.minutes_later', 'run.speed', 'run.idle', 'gen.*', 'washer.*'];
    private const TURNS_OR_FIRES = ['feel.pull', 'start.*', 'spark.*', 'compression.*', 'run.*'];

    /** The state in which tests are closed, by the test that says so. */
    private const RESIDUE = ['look.oil_smell' => ['residue_expected']];

    /** @var \WeakMap<CaseFile, array{HoldStates, list<Closure>, list<Prerequisite>}> what was worked out of a case: a page asks many times */
    private \WeakMap $known;

    public function __construct(private Vocabulary $vocabulary, private Closures $closures)
    {
        $this->known = new \WeakMap();
    }

    /**
     * @return list<Blocker> what must happen before this test may be made; empty when it is open
     *
     * @throws \AwakeShed\Core\Evidence\UnknownWord when the vocabulary has no such test
     */
    public function blockers(CaseFile $case, string $test): array
    {
        return $this->blockersAmong($case, $test, ...$this->known($case));
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
        [$holds, $closures, $demands] = $this->known($case);
        $closed = [];
        foreach ($among ?? array_keys($this->vocabulary->tests) as $test) {
            $blockers = $this->vocabulary->applies($test, $case->machine) ? $this->blockersAmong($case, $test, $holds, $closures, $demands) : [];
            if ([] !== $blockers) {
                $closed[$test] = $blockers;
            }
        }

        return $closed;
    }

    /** @return list<HoldDefinition> the holds set and not yet released */
    public function standingHolds(CaseFile $case): array
    {
        return $this->known($case)[0]->set;
    }

    /** @return list<string> the looks to be made once more, because what they found was put right or changed since */
    public function looksOwed(CaseFile $case): array
    {
        return array_values(array_unique(array_merge([], ...array_map(static fn (array $one): array => $one[1], $this->known($case)[0]->again))));
    }

    /** @return list<Closure> what the state of the machine closes */
    public function closures(CaseFile $case): array
    {
        return $this->known($case)[1];
    }

    /**
     * @param list<Closure>      $closures
     * @param list<Prerequisite> $demands  that the machine has not met
     *
     * @return list<Blocker>
     */
    private function blockersAmong(CaseFile $case, string $test, HoldStates $holds, array $closures, array $demands): array
    {
        $blockers = [];
        foreach ($this->vocabulary->test($test)->after as $look) {
            // By hand and with the plug out an engine may be pulled whatever is in its crankcase: that is how it is cleared.
            $isPulledOpen = str_starts_with($test, 'pull.') && null !== $case->lastFound($look);
            if ($this->vocabulary->applies($look, $case->machine) && null === $case->standing($look) && !$isPulledOpen) {
                $blockers[] = $case->isVoided($look) ? Blocker::lookAgain($look) : Blocker::look($look);
            }
        }
        foreach ($holds->set as $hold) {
            if ($hold->blocks($test)) {
                $blockers[] = Blocker::hold($hold->id);
            }
        }
        foreach ($holds->again as [$hold, $looks]) {
            if ($hold->blocks($test)) {
                $blockers = [...$blockers, ...array_map(Blocker::lookAgain(...), $looks)];
            }
        }
        foreach ($closures as $closure) {
            if ($closure->blocks($test)) {
                $blockers = [...$blockers, ...array_map($this->until(...), $closure->until)];
            }
        }
        foreach ($demands as $rule) {
            if ($rule->blocks($test)) {
                $blockers[] = Blocker::look($rule->test);
            }
        }
        $blockers = [...$blockers, ...self::residue($case, $test)];

        return \count($blockers) < 2 ? $blockers : array_values(array_unique($blockers, \SORT_REGULAR));
    }

    /**
     * Oil that smells after the first fill of a flush is what is to be expected: it is run once, shortly, and drained hot.
     * Said of oil that nobody has filled, it is gas in the oil.
     *
     * @return list<Blocker>
     */
    private static function residue(CaseFile $case, string $test): array
    {
        if (!$case->says(self::RESIDUE)) {
            return [];
        }
        $smelled = $case->foundAt('look.oil_smell');
        $isFilled = $case->state->was('crankcase.filled');
        $hasRun = max($case->state->last('engine.ran'), $case->foundAt('start.plain')) > $smelled;
        $closes = match (true) {
            !$isFilled => self::TURNS_OR_FIRES,
            $hasRun => ['start.*', 'run.*', 'gen.*', 'washer.*'],
            default => self::NOT_ON_RESIDUE,
        };
        // What is seen while that one run goes is part of it.
        $isPartOfIt = $hasRun && 'run.smoke' === $test;

        return TestPattern::matchesAny($closes, $test) && !$isPartOfIt ? [Blocker::act('crankcase.drained')] : [];
    }

    private function until(string $id): Blocker
    {
        return isset($this->vocabulary->acts[$id]) ? Blocker::act($id) : Blocker::look($id);
    }

    /** @return array{HoldStates, list<Closure>, list<Prerequisite>} */
    private function known(CaseFile $case): array
    {
        return $this->known[$case] ??= [HoldStates::folded($this->vocabulary, $case), $this->closures->holding($case), $this->demands($case)];
    }

    /** @return list<Prerequisite> */
    private function demands(CaseFile $case): array
    {
        return array_values(array_filter($this->vocabulary->prerequisites, static fn (Prerequisite $rule): bool => ($case->standing($rule->claim)->number ?? 0.0) >= $rule->atLeast
            && true !== $case->standing($rule->test)?->saysAnyOf([$rule->outcome])));
    }
}
