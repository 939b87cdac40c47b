<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule\Day;

use AwakeShed\Core\Diagnosis\Assessment;
use AwakeShed\Core\Diagnosis\Cures;
use AwakeShed\Core\Diagnosis\NextTest;
use AwakeShed\Core\Diagnosis\Suspect;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Gate\GateWalk;
use AwakeShed\Core\Progress\JobProgress;
use AwakeShed\Core\Progress\Progress;
use AwakeShed\Core\Stage\Act;
use AwakeShed\Core\Stage\StagePlan;
use AwakeShed\Core\Stage\StepState;

/** What is left to do on a job, read off the machine's present state: nobody ticks it off, it is done by being recorded. */
final readonly class RemainingWork
{
    /** From this chance on a cure is planned for (invented: rather too early than forgotten). */
    private const LIKELY = 0.4;

    /** From this chance on that anything in it is bad the carburetor is planned to come off (invented). */
    private const COMES_OFF = 0.6;

    /** Tests that are planned for finding a cause: what few more are made when the first tell little (invented). */
    private const TESTS = 4;

    /** The rooms of a fault whose cure is the carburetor off, its parts in the bath. */
    private const IN_THE_CARBURETOR = '/^carb\./';

    /** The run between two fills of oil, and the draining right after it. */
    private const FLUSH_RUN = 'flush.run_1';
    private const HOT_DRAIN = 'flush.drain_hot';

    /** What each cold start's school has it stand, in hours. */
    private const STANDS = '/_hours_(\d+)$/';

    /** Before these nothing is known of how it runs. */
    private const NOT_RUN = [Progress::TakenIn, Progress::Stopped, Progress::AtGates, Progress::AtFuel, Progress::FindingTheCause, Progress::Apart, Progress::GoingTogether, Progress::BeforeFirstRun];

    public function __construct(private PieceKinds $kinds, private StagePlan $plan, private GateWalk $walk, private Vocabulary $vocabulary, private Cures $cures)
    {
    }

    /**
     * @param list<Act> $acts in the order they were done
     *
     * @return list<Piece> in the order they are done
     */
    public function of(CaseFile $case, array $acts, JobProgress $progress, Assessment $assessment): array
    {
        $stand = $progress->progress;
        if (Progress::FitToGoHome === $stand || Progress::HandedBack === $stand) {
            return Progress::HandedBack === $stand ? [] : [$this->piece('hand_over')];
        }
        $isBefore = \in_array($stand, [Progress::TakenIn, Progress::Stopped, Progress::AtGates, Progress::AtFuel, Progress::FindingTheCause], true);
        $isApart = 'off' === $case->state->place('bowl') || 'off' === $case->state->place('carburetor');
        $sound = 1.0;
        $cures = [];
        foreach ($assessment->causes() as $suspect) {
            if (1 === preg_match(self::IN_THE_CARBURETOR, $suspect->fault)) {
                $sound *= 1.0 - $suspect->probability;
            } elseif ($suspect->probability >= self::LIKELY) {
                $cures[] = $suspect;
            }
        }
        $comesOff = $isBefore && 1.0 - $sound >= self::COMES_OFF;
        $pieces = [
            ...$this->looks('gates', $this->gatesLeft($case)),
            ...$this->stage('fuel', $case, $acts),
            ...$isBefore && null === $case->standing('jar.tank') ? [$this->piece('settle')] : [],
            ...$this->stage('locked', $case, $acts),
            // What is drained hot comes after the run.
            ...$this->stage('flush', $case, $acts, self::FLUSH_RUN),
            ...$isBefore ? $this->looks('cause', array_map(static fn (NextTest $next): string => $next->test, \array_slice($assessment->next, 0, self::TESTS))) : [],
            ...$comesOff ? [$this->piece('strip', isLikely: true)] : [],
            ...$isApart || $comesOff ? [$this->piece('bath', isLikely: !$isApart), $this->piece('refit', isLikely: !$isApart)] : [],
            ...[] === $cures ? [] : [$this->piece('cure', $this->cureMinutes($cures), true)],
        ];
        if (\in_array($stand, self::NOT_RUN, true)) {
            $pieces[] = $this->piece('first_run');
        }
        if ($this->isHotOilDue($case, $acts)) {
            $pieces[] = $this->piece('oil_hot');
        }
        $schools = $this->vocabulary->followed($case->schools, $case->machine->kind);
        if (1 === preg_match(self::STANDS, $schools['cold_start'] ?? '', $hours) && !$this->stoodCold($acts)) {
            $pieces[] = $this->piece('stands_cold', 60 * (int) $hours[1]);
        }

        return [...$pieces, $this->piece('proof'), $this->piece('hand_over')];
    }

    private function piece(string $kind, ?int $minutes = null, bool $isLikely = false): Piece
    {
        return new Piece($kind, max(1, $minutes ?? $this->kinds->kind($kind)->minutes), $isLikely);
    }

    /**
     * @param list<string> $tests
     *
     * @return list<Piece>
     */
    private function looks(string $kind, array $tests): array
    {
        $minutes = 0.0;
        foreach ($tests as $test) {
            $minutes += max($this->kinds->kind($kind)->each ?? 0, $this->vocabulary->tests[$test]->minutes ?? 0.0);
        }

        return [] === $tests ? [] : [$this->piece($kind, (int) ceil($minutes))];
    }

    /** @return list<string> */
    private function gatesLeft(CaseFile $case): array
    {
        $left = [];
        foreach ($this->walk->walked($case) as $gate) {
            $left = [...$left, ...$gate->missing];
        }

        return array_values(array_unique($left));
    }

    /**
     * @param list<Act> $acts
     *
     * @return list<Piece>
     */
    private function stage(string $stage, CaseFile $case, array $acts, ?string $until = null): array
    {
        $state = $this->plan->stateOfStage($stage, $case, $acts);
        $left = [];
        foreach ($state->isNeeded ? $state->steps : [] as $step) {
            if ($step->step->id === $until) {
                break;
            }
            if (!$step->isDone && !$step->step->isNote) {
                $left[] = $step;
            }
        }

        return [] === $left ? [] : [$this->piece($stage, \count($left) * ($this->kinds->kind($stage)->each ?? 1))];
    }

    /** @param list<Suspect> $suspects */
    private function cureMinutes(array $suspects): int
    {
        return (int) round(array_sum(array_map(fn (Suspect $suspect): float => $suspect->probability * array_sum($this->cures->minutes($suspect->fault)) / 2, $suspects)));
    }

    /** @param list<Act> $acts */
    private function isHotOilDue(CaseFile $case, array $acts): bool
    {
        $state = $this->plan->stateOfStage('flush', $case, $acts);

        return $state->isNeeded && [] !== array_filter($state->steps, static fn (StepState $step): bool => self::HOT_DRAIN === $step->step->id && !$step->isDone);
    }

    /** @param list<Act> $acts */
    private function stoodCold(array $acts): bool
    {
        return [] !== array_filter($acts, static fn (Act $act): bool => \in_array($act->step, ['prove.overnight', 'prove.day_and_night'], true));
    }
}
