<?php

declare(strict_types=1);

namespace AwakeShed\Core\Stage;

use AwakeShed\Core\Cylinder\PullLog;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Gate\Blocker;
use AwakeShed\Core\Gate\Gatekeeper;
use AwakeShed\Core\Table;
use AwakeShed\Core\Units\Volume;

/**
 * The stages of the work and where a job stands in each. A step can be done in any order its gates and what must come
 * first allow; the order of the stages is advice. A stage is made when it is asked for: most questions are about one.
 *
 * @phpstan-import-type When from Step
 *
 * @phpstan-type StepRow array{id: string, test?: string, cure?: string, note?: bool, fields?: array<string, array{float|int, float|int}>, choices?: list<string>, repeat?: bool, again?: bool, when?: When|'bad_fuel', after?: list<array{step: string, when?: When}>, as?: string, wait?: array{kind: string, minutes: int}, waste?: string, school?: array<string, list<string>>, calc?: string, oil?: bool, wants?: list<string>, needs?: list<When>, does?: string|array<string, string>, unless?: When, unless_done?: list<string>, not_for?: list<string>, kinds?: list<string>, anew?: bool, unless_choice?: array<string, list<string>>}
 * @phpstan-type StageRow array{id: string, when?: When, when_open?: bool, in_order?: bool, folds?: bool, steps: non-empty-list<StepRow>}
 */
final class StagePlan
{
    /** The step whose acts are the pulls with the plug out. */
    public const PULL = 'locked.pull';

    /** The step that says which bore of seat is fitted. */
    public const SEAT_BORE = 'needle.bore';

    private const LEVEL = 'look.oil_level';

    /** Pairs of step and choice that cannot both be. */
    private const CONTRADICTIONS = [
        [['needle.way_round', 'not_replaceable'], ['needle.fitted', 'both_new']],
        [['needle.bore', 'not_replaceable'], ['needle.fitted', 'both_new']],
    ];

    /** The step that says how the liquid got there. */
    public const CAUSE = 'locked.cause';

    /** @var array<string, Stage> by id, those that were asked for */
    private array $made = [];

    /**
     * @param non-empty-array<string, StageRow> $rows    by id
     * @param When                              $badFuel
     */
    private function __construct(private readonly array $rows, private readonly array $badFuel, private readonly Vocabulary $vocabulary, private readonly Gatekeeper $gatekeeper)
    {
    }

    public static function shipped(Vocabulary $vocabulary, Gatekeeper $gatekeeper): self
    {
        /** @var array{bad_fuel: When, stages: non-empty-list<StageRow>} $data */
        $data = Table::read(__DIR__.'/data/stages.json');

        return new self(array_column($data['stages'], null, 'id'), $data['bad_fuel'], $vocabulary, $gatekeeper);
    }

    public function has(string $stage): bool
    {
        return isset($this->rows[$stage]);
    }

    /** @return non-empty-list<Stage> in the order in which they are done */
    public function stages(): array
    {
        return array_map($this->stage(...), array_keys($this->rows));
    }

    /** @param StepRow $row */
    private function stepOf(array $row): Step
    {
        return new Step(
            $row['id'],
            $row['test'] ?? null,
            $row['cure'] ?? null,
            $row['note'] ?? false,
            $row['fields'] ?? null,
            $row['choices'] ?? [],
            $row['repeat'] ?? false,
            $row['again'] ?? false,
            'bad_fuel' === ($row['when'] ?? null) ? $this->badFuel : $row['when'] ?? null,
            $row['after'] ?? [],
            $row['as'] ?? null,
            $row['wait'] ?? null,
            $row['waste'] ?? null,
            $row['school'] ?? [],
            $row['calc'] ?? null,
            $row['oil'] ?? false,
            $row['wants'] ?? null,
            $row['needs'] ?? [],
            self::does($row),
            $row['unless'] ?? [],
            $row['unless_done'] ?? [],
            $row['not_for'] ?? [],
            $row['kinds'] ?? [],
            $row['anew'] ?? false,
            $row['unless_choice'] ?? [],
        );
    }

    /** The first step that is this test or this act of the vocabulary and is asked on every machine its stage is for; null where no stage has it. */
    public function stepFor(string $id): ?Step
    {
        foreach ($this->rows as $stage) {
            foreach ($stage['steps'] as $step) {
                if (!isset($step['when']) && (($step['test'] ?? null) === $id || \in_array($id, self::does($step), true))) {
                    return $this->step($step['id']);
                }
            }
        }

        return null;
    }

    /**
     * @param StepRow $step
     *
     * @return array<string, string> acts by choice, by nothing where it has none
     */
    private static function does(array $step): array
    {
        $does = $step['does'] ?? [];

        return \is_string($does) ? ['' => $does] : $does;
    }

    /** @return list<Done> what a step that was done means to the machine's state */
    public function told(Act $act): array
    {
        $does = $this->step($act->step)->does[$act->choice ?? ''] ?? null;

        return null === $does ? [] : [new Done($this->vocabulary->act($does), $act->figures)];
    }

    /**
     * What is part of the body was not renewed, and what was renewed was no part of it.
     *
     * @param list<Act> $acts so far
     *
     * @throws ImpossibleAct
     */
    public static function demandNoContradiction(Act $act, array $acts): void
    {
        foreach (self::CONTRADICTIONS as [$one, $other]) {
            foreach ([[$one, $other], [$other, $one]] as [$said, $against]) {
                $last = self::actsOf($against[0], $acts);
                if ($act->step === $said[0] && $act->choice === $said[1] && [] !== $last && $last[\count($last) - 1]->choice === $against[1]) {
                    throw ImpossibleAct::contradicts($act->step, $against[0]);
                }
            }
        }
    }

    /** @throws ImpossibleAct when there is no such stage */
    public function stage(string $id): Stage
    {
        $row = $this->rows[$id] ?? throw ImpossibleAct::noSuchStep($id);

        return $this->made[$id] ??= new Stage($id, $row['when'] ?? null, array_map($this->stepOf(...), $row['steps']), $row['when_open'] ?? false, $row['in_order'] ?? false, $row['folds'] ?? false);
    }

    /**
     * @param string $id its stage's, a dot and its own
     *
     * @throws ImpossibleAct when there is no such step
     */
    public function step(string $id): Step
    {
        $stage = self::stageOf($id);
        foreach ($this->has($stage) ? $this->stage($stage)->steps : [] as $step) {
            if ($step->id === $id) {
                return $step;
            }
        }

        throw ImpossibleAct::noSuchStep($id);
    }

    private static function stageOf(string $step): string
    {
        return explode('.', $step, 2)[0];
    }

    /**
     * @param list<Act> $acts in the order they were done
     *
     * @return non-empty-list<StageState>
     */
    public function states(CaseFile $case, array $acts): array
    {
        $stages = $this->stages();
        $closed = $this->gatekeeper->closed($case, self::gatedIn($stages));

        return array_map(fn (Stage $stage): StageState => $this->stateAmong($stage, $case, $acts, $closed), $stages);
    }

    /**
     * @param non-empty-list<Stage> $stages
     *
     * @return list<string> the tests whose gates their steps must pass
     */
    private static function gatedIn(array $stages): array
    {
        $gated = [];
        foreach ($stages as $stage) {
            $gated = [...$gated, ...array_filter(array_map(static fn (Step $step): ?string => $step->gated(), $stage->steps), is_string(...))];
        }

        return array_values(array_unique($gated));
    }

    /**
     * @param list<Act>                    $acts
     * @param array<string, list<Blocker>> $closed by test
     */
    private function stateAmong(Stage $stage, CaseFile $case, array $acts, array $closed): StageState
    {
        $schools = $this->vocabulary->followed($case->schools, $case->machine->kind);
        $steps = [];
        foreach ($stage->steps as $step) {
            if (!$step->isSpared($acts) && $step->isAsked($case, $schools) && (null === $step->gated() || $this->vocabulary->applies($step->gated(), $case->machine))) {
                $steps[] = $this->stated($step, $case, $acts, $closed[$step->gated() ?? ''] ?? []);
            }
        }

        return new StageState($stage, $stage->isNeeded($case), $steps);
    }

    /**
     * @param list<Act> $acts in the order they were done
     *
     * @throws ImpossibleAct when there is no such stage
     */
    public function stateOfStage(string $id, CaseFile $case, array $acts): StageState
    {
        return $this->stateAmong($this->stage($id), $case, $acts, $this->gatekeeper->closed($case, self::gatedIn([$this->stage($id)])));
    }

    /** @param list<Act> $acts */
    public function stateOf(Step $step, CaseFile $case, array $acts): StepState
    {
        $gated = $step->gated();

        return $this->stated($step, $case, $acts, null === $gated ? [] : $this->gatekeeper->blockers($case, $gated));
    }

    /**
     * @param list<Act>     $acts
     * @param list<Blocker> $blockers
     */
    private function stated(Step $step, CaseFile $case, array $acts, array $blockers): StepState
    {
        $done = self::actsOf($step->id, $acts);
        $first = [];
        foreach ($step->after as $rule) {
            $earlier = $this->step($rule['step']);
            // What is not asked on this machine is waited for by nothing.
            if ($earlier->isCalledFor($case) && (!isset($rule['when']) || $case->everSaid($rule['when'])) && !$this->isDone($earlier, $case, $acts)) {
                $first[] = $rule['step'];
            }
        }

        foreach ($step->needs as $anyOf) {
            if (!$case->says($anyOf)) {
                $blockers[] = Blocker::look((string) array_key_first($anyOf));
            }
        }

        return new StepState($step, $this->isDone($step, $case, $acts), $done, $first, $blockers, self::doubt($step, $case, $done));
    }

    /**
     * The pulls with the plug out so far.
     *
     * @param list<Act> $acts
     */
    public static function pulls(array $acts): PullLog
    {
        return PullLog::fromPulls(array_map(static fn (Act $act): Volume => Volume::millilitres($act->figures['thrown_ml'] ?? 0.0), self::actsOf(self::PULL, $acts)));
    }

    /** @param list<Act> $done of this step */
    private static function doubt(Step $step, CaseFile $case, array $done): ?string
    {
        return self::SEAT_BORE === $step->id ? SeatBore::doubt($case->machine->feed, array_map(static fn (Act $act): string => $act->choice ?? '', $done)) : null;
    }

    /** @param list<Act> $acts */
    private function isDone(Step $step, CaseFile $case, array $acts): bool
    {
        return match (true) {
            $step->isNote => true,
            null !== self::doubt($step, $case, self::actsOf($step->id, $acts)) => false,
            self::PULL === $step->id => self::pulls($acts)->isDry(),
            null !== $step->cure => $case->wasPutRight($step->cure),
            $step->isAgain => $this->isSoundAgain($step, $case, $acts),
            // Fuel that was poured away and filled fresh is not judged once more.
            null !== $step->test => null !== $case->standing($step->test) || ($case->isVoided($step->test) && 'tank' === $case->changedBy($step->test)?->thing),
            default => [] !== self::actsOf($step->id, $acts) || $this->isDoneElsewhere($step, $case),
        };
    }

    /** Nobody is asked what was said elsewhere: the act was recorded in a room, at the bench, in a file; the second step of its kind wants it twice. */
    private function isDoneElsewhere(Step $step, CaseFile $case): bool
    {
        $act = $step->does[''] ?? null;
        if (null === $act || $step->isAnew) {
            return false;
        }
        $before = 0;
        foreach ($this->stage(self::stageOf($step->id))->steps as $other) {
            $before += (int) \in_array($act, $other->does, true);
            if ($other->id === $step->id) {
                break;
            }
        }

        return $case->state->count($act) >= $before;
    }

    /**
     * A look that is made once more is done when what comes before it is, and what was found since holds nothing closed.
     *
     * @param list<Act> $acts
     */
    private function isSoundAgain(Step $step, CaseFile $case, array $acts): bool
    {
        $test = $step->test ?? '';
        // Fresh oil into oil that was right: its level is looked at, the rest is what it was.
        $standing = $case->standing($test) ?? (self::LEVEL === $test ? null : $case->lastFound($test));
        if (null !== $step->wants && true !== $standing?->saysAnyOf($step->wants)) {
            return false;
        }
        foreach ($step->after as $rule) {
            $done = self::actsOf($rule['step'], $acts);
            // A look from before what it is to judge does not judge it.
            $isOlder = [] !== $done && $case->lastFoundAt($test) < $done[\count($done) - 1]->after;
            if ($isOlder || !$this->isDone($this->step($rule['step']), $case, $acts)) {
                return false;
            }
        }
        foreach ($this->vocabulary->holds as $hold) {
            if (null === $standing || $hold->isSetBy($standing)) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param list<Act> $acts
     *
     * @return list<Act>
     */
    private static function actsOf(string $step, array $acts): array
    {
        return array_values(array_filter($acts, static fn (Act $act): bool => $act->step === $step));
    }
}
