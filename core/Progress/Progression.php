<?php

declare(strict_types=1);

namespace AwakeShed\Core\Progress;

use AwakeShed\Core\Diagnosis\Assessment;
use AwakeShed\Core\Evidence\ActDefinition;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\HoldDefinition;
use AwakeShed\Core\Evidence\MachineState;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Fuel\FuelDecision;
use AwakeShed\Core\Fuel\FuelVerdict;
use AwakeShed\Core\Fuel\JarSample;
use AwakeShed\Core\Fuel\OldFuelSchool;
use AwakeShed\Core\Gate\Blocker;
use AwakeShed\Core\Gate\BlockerKind;
use AwakeShed\Core\Gate\Gatekeeper;
use AwakeShed\Core\Gate\GateState;
use AwakeShed\Core\Gate\GateWalk;

/** Says where a job has got to and what moves it on, from the state of the machine: the one answer every page gives. */
final readonly class Progression
{
    private const BAD_FUEL = ['jar.tank' => ['hazy', 'two_layers', 'dark_or_sediment'], 'jar.smell' => ['stale', 'varnish'], 'look.tank' => ['sediment', 'rust', 'water'], 'look.mix' => ['too_little_oil', 'too_much_oil', 'none']];
    private const NO_FUEL = ['jar.tank' => ['empty']];

    public function __construct(private Vocabulary $vocabulary, private Gatekeeper $gatekeeper, private GateWalk $walk)
    {
    }

    public function standOf(CaseFile $case, Assessment $assessment): JobProgress
    {
        $walk = $this->walk->walked($case);
        if (!self::anythingSeen($case)) {
            return new JobProgress(Progress::TakenIn, self::missing($walk));
        }

        return $this->stopped($case) ?? $this->atGates($case, $walk) ?? $this->apart($case) ?? $this->goingTogether($case)
            ?? $this->atFuel($case) ?? $this->toBeRun($case, $assessment);
    }

    public static function schoolOf(CaseFile $case): OldFuelSchool
    {
        return OldFuelSchool::tryFrom($case->schools['old_fuel'] ?? '') ?? OldFuelSchool::DiscardPastSixMonths;
    }

    private function stopped(CaseFile $case): ?JobProgress
    {
        $holds = $this->gatekeeper->standingHolds($case);
        // What is mended with the carburetor in hand is no reason to stop while it is in hand.
        $holds = array_values(array_filter($holds, static fn (HoldDefinition $hold): bool => !self::isInHand($case) || !$hold->isMendedInHand));

        return [] === $holds ? null : new JobProgress(Progress::Stopped, $this->waysOut($case, $holds[0]), $holds[0]->id);
    }

    /** @param list<GateState> $walk */
    private function atGates(CaseFile $case, array $walk): ?JobProgress
    {
        // Unconditional: whatever else is to be learned, an engine does not stand about without its oil.
        $duties = 'drained' === $case->state->stateOf('crankcase') ? ['crankcase.filled'] : [];
        $missing = [...$duties, ...self::missing($walk)];

        return [] === $missing ? null : new JobProgress(Progress::AtGates, $missing);
    }

    private function apart(CaseFile $case): ?JobProgress
    {
        if ('off' === $case->state->place('bowl')) {
            return new JobProgress(Progress::Apart, $this->workOn($case, ['bowl.inside'], 'bowl.cleaned', 'bowl.on'));
        }

        return 'off' === $case->state->place('carburetor') ? new JobProgress(Progress::Apart, $this->workOn($case, ['bowl.inside'], 'bowl.cleaned', 'carburetor.on')) : null;
    }

    /**
     * @param list<string> $looks that are worth making while it is open
     *
     * @return list<string>
     */
    private function workOn(CaseFile $case, array $looks, string $cleaning, string $putBack): array
    {
        foreach ($looks as $look) {
            if (!$this->vocabulary->applies($look, $case->machine)) {
                continue;
            }
            $found = $case->standing($look);
            if (null === $found && !$case->isVoided($look)) {
                return [$look, $putBack];
            }
            if (null !== $found && !$found->saysAnyOf(['clean', 'dry']) && $case->state->last($cleaning) < $case->foundAt($look)) {
                return [$cleaning, $putBack];
            }
        }

        return [$putBack];
    }

    private function goingTogether(CaseFile $case): ?JobProgress
    {
        $waitsFor = [];
        foreach ($this->gatekeeper->closures($case) as $closure) {
            if (\in_array($closure->thing, ['plug', 'bowl', 'carburetor'], true)) {
                $waitsFor = [...$waitsFor, ...$closure->until];
            }
        }

        return [] === $waitsFor ? null : new JobProgress(Progress::GoingTogether, $waitsFor);
    }

    private function atFuel(CaseFile $case): ?JobProgress
    {
        $tank = $case->state->stateOf('tank');
        $jar = $case->isVoided('jar.tank') ? null : $case->jars[JarSample::Tank->value] ?? null;
        $decision = null === $jar || $jar->isBlank() || null === $case->standing('jar.tank') ? null : FuelVerdict::onJar($jar, self::schoolOf($case))->decision;
        $waitsFor = match (true) {
            $case->says(self::BAD_FUEL), FuelDecision::Discard === $decision, FuelDecision::PartsWashingOnly === $decision => 'tank.drained',
            // What is proved is emptied to be laid up.
            [] === ProofRun::left($case) => null,
            $case->says(self::NO_FUEL), \in_array($tank, ['drained', 'flushed', 'dried'], true) => 'tank.filled',
            null !== $tank, ProofRun::hasRun($case) => null,
            null === $case->standing('jar.tank') => 'jar.tank',
            null === $case->standing('jar.smell') => 'jar.smell',
            default => null,
        };

        return null === $waitsFor ? null : new JobProgress(Progress::AtFuel, [$waitsFor]);
    }

    private function toBeRun(CaseFile $case, Assessment $assessment): JobProgress
    {
        if (ProofRun::hasRun($case)) {
            $left = ProofRun::left($case);
            if ([] === $left) {
                $open = array_merge([], ...array_map(static fn ($closure): array => $closure->until, $this->gatekeeper->closures($case)));

                return [] === $open ? new JobProgress(Progress::FitToGoHome, []) : new JobProgress(Progress::GoingTogether, $open);
            }

            return [] === ProofRun::failed($case) ? new JobProgress(Progress::Proving, $this->openFirst($case, $left)) : $this->findingTheCause($assessment, $left);
        }
        $sure = array_filter($assessment->faults, static fn ($suspect): bool => $suspect->isSure() && $suspect->isFound());
        $isTried = null !== $case->standing('start.plain') && !$case->putRightSince('start.plain', ...$case->cured());

        return $isTried || [] !== $sure ? $this->findingTheCause($assessment, ['start.plain']) : new JobProgress(Progress::BeforeFirstRun, $this->openFirst($case, ['start.plain']));
    }

    /** @param list<string> $else the tests to be passed in the end */
    private function findingTheCause(Assessment $assessment, array $else): JobProgress
    {
        foreach ($assessment->faults as $suspect) {
            if ($suspect->isSure() && $suspect->isFound()) {
                return new JobProgress(Progress::FindingTheCause, [...$this->curing($suspect->fault), $suspect->fault]);
            }
        }
        $next = $assessment->next[0]->test ?? null;

        return new JobProgress(Progress::FindingTheCause, null === $next ? $else : [$next]);
    }

    /**
     * What is there is cleaned, freed or set before anything is renewed; of what is renewed, the part before the whole.
     *
     * @return list<string> acts, the least of them first
     */
    private function curing(string $fault): array
    {
        $acts = array_filter($this->vocabulary->acts, static fn (ActDefinition $act): bool => \in_array($fault, $act->putsRight, true));
        $takes = static fn (ActDefinition $act): int => \in_array($act->state, ['renewed', 'replaced'], true) ? \count($act->putsRight) : 0;
        usort($acts, static fn (ActDefinition $one, ActDefinition $other): int => $takes($one) <=> $takes($other));

        return array_column($acts, 'id');
    }

    /**
     * @param non-empty-list<string> $tests
     *
     * @return non-empty-list<string> what has to come before the first of them, and then they
     */
    private function openFirst(CaseFile $case, array $tests): array
    {
        $first = array_map(static fn (Blocker $blocker): string => $blocker->until, array_filter($this->gatekeeper->blockers($case, $tests[0]), static fn (Blocker $blocker): bool => BlockerKind::Hold !== $blocker->kind));

        return [...array_values($first), ...$tests];
    }

    /** @return list<string> acts and looks that lead out of a hold */
    private function waysOut(CaseFile $case, HoldDefinition $hold): array
    {
        $bad = array_keys(array_filter($hold->whenAny, static fn (array $outcomes, string $test): bool => true === $case->standing($test)?->saysAnyOf($outcomes), \ARRAY_FILTER_USE_BOTH));
        $since = max([MachineState::NEVER, ...array_map($case->foundAt(...), $bad)]);
        // Looks on the way that were made since lead no further; of the rest, what changes what was found comes first.
        $ways = array_values(array_filter($hold->waysOut, static fn (string $way): bool => $case->foundAt($way) <= $since));
        usort($ways, fn (string $one, string $other): int => $this->changes($other, $bad) <=> $this->changes($one, $bad));

        return $ways;
    }

    /** @param list<string> $tests */
    private function changes(string $way, array $tests): bool
    {
        return isset($this->vocabulary->acts[$way]) && [] !== array_intersect($this->vocabulary->acts[$way]->voids, $tests);
    }

    private static function isInHand(CaseFile $case): bool
    {
        return 'off' === $case->state->place('bowl') || 'off' === $case->state->place('carburetor');
    }

    /**
     * @param list<GateState> $walk
     *
     * @return list<string>
     */
    private static function missing(array $walk): array
    {
        return array_merge([], ...array_map(static fn (GateState $gate): array => $gate->missing, $walk));
    }

    private static function anythingSeen(CaseFile $case): bool
    {
        foreach ($case->events as $event) {
            if (!$event instanceof Finding || !$event->isClaim()) {
                return true;
            }
        }

        return false;
    }
}
