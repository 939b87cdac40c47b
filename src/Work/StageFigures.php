<?php

declare(strict_types=1);

namespace AwakeShed\App\Work;

use AwakeShed\App\Drawing\BarDrawing;
use AwakeShed\App\Drawing\CylinderDrawing;
use AwakeShed\App\Drawing\JarDrawing;
use AwakeShed\App\Evidence\Record;
use AwakeShed\App\Season\LayUps;
use AwakeShed\Core\Cylinder\Hydrolock;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Fuel\JarSample;
use AwakeShed\Core\Jet\JetBore;
use AwakeShed\Core\Oil\Clinging;
use AwakeShed\Core\Oil\Dilution;
use AwakeShed\Core\Oil\FlushPlan;
use AwakeShed\Core\Refusal;
use AwakeShed\Core\Stage\Act;
use AwakeShed\Core\Stage\ActEffects;
use AwakeShed\Core\Stage\StagePlan;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\Ratio;
use AwakeShed\Core\Units\RatioUnit;
use AwakeShed\Core\Units\Volume;

/** The arithmetic of the stages: the core's, on what was recorded at the steps. */
final readonly class StageFigures
{
    public function __construct(private StagePlan $work, private ActEffects $effects, private ShopRepairs $repairs, private ProvingSheets $proving, private LayUps $layUps)
    {
    }

    /** The target, and what a warm run does not boil off, where nothing was measured (common practice). */
    private const TARGET = 0.02;
    private const NOT_BOILED = 1.0;

    /** The error of a jug. */
    private const JUG_ML = 10.0;

    public function forStage(string $stage, Record $record): StageResult
    {
        $case = $record->case();
        $acts = $record->acts();

        return match ($stage) {
            'fuel' => $this->fuel($case),
            'locked' => $this->locked($case, $acts),
            'flush' => $this->flush($case, $acts),
            'jet' => $this->jet($acts),
            'decide' => new StageResult(given: ['repair' => $this->repairs->given()]),
            'service' => new StageResult(service: $this->layUps->service($record)),
            'layup' => new StageResult(amounts: $this->layUpAmounts($record), settings: $this->layUps->settings($case)),
            'first_run' => new StageResult(proving: $this->proving->of($record)),
            'prove' => new StageResult(proving: $this->proving->of($record), heard: $this->proving->heard($record)),
            default => new StageResult(),
        };
    }

    /** @return array<string, string> by step */
    private function layUpAmounts(Record $record): array
    {
        $amounts = [];
        foreach ($this->layUps->planOf($record)->steps as $step) {
            $amounts[$step->step] = $this->layUps->much($step);
        }

        return array_filter($amounts, static fn (string $much): bool => '' !== $much);
    }

    private function fuel(CaseFile $case): StageResult
    {
        $jar = $case->jars[JarSample::Tank->value] ?? null;

        return new StageResult(jar: null === $jar?->layers ? null : JarDrawing::ofLayers($jar->layers, $jar->look));
    }

    /** @param list<Act> $acts */
    private function jet(array $acts): StageResult
    {
        $bores = [];
        foreach ($acts as $act) {
            if (isset($act->figures['bore_mm'])) {
                $bores[$act->step] = $act->figures['bore_mm'];
            }
        }
        try {
            return !isset($bores['jet.before'], $bores['jet.after']) ? new StageResult()
                : new StageResult(jetFlow: JetBore::ofDiameter(Length::millimetres($bores['jet.before']))->flowInto(JetBore::ofDiameter(Length::millimetres($bores['jet.after']))));
        } catch (Refusal) {
            // Bounds of the step and of the jet are the same; what was recorded under older ones says nothing.
            return new StageResult();
        }
    }

    /** @param list<Act> $acts */
    private function locked(CaseFile $case, array $acts): StageResult
    {
        $pulls = StagePlan::pulls($acts);
        [$displacement, $ratio] = [$case->machine->displacementCc, $case->machine->compressionRatio];
        try {
            $cylinder = 0 === $pulls->count() || null === $displacement || null === $ratio ? null
                : CylinderDrawing::ofHydrolock(Hydrolock::in(Volume::millilitres($displacement / ($case->machine->cylinders ?? Hydrolock::usualCylinders(Volume::millilitres($displacement)))), Ratio::of($ratio, RatioUnit::ToOne), $pulls->thrown()));
        } catch (Refusal) {
            // Thrown more than a cylinder of this size can hold: the pulls stand, the drawing would lie.
            $cylinder = null;
        }

        return new StageResult(pulls: $pulls, cylinder: $cylinder);
    }

    /** @param list<Act> $acts */
    private function flush(CaseFile $case, array $acts): StageResult
    {
        $mark = $case->machine->oilMl;
        $drained = null;
        $used = Volume::zero();
        foreach ($acts as $act) {
            $drained = 'flush.drain' === $act->step ? $act->figures['ml'] ?? null : $drained;
            $used = $this->effects->takesOil($this->work->told($act)[0]->act->id ?? '') ? $used->plus(Volume::millilitres($act->figures['ml'] ?? 0.0)) : $used;
        }
        if (null === $mark || null === $drained) {
            return new StageResult(oilUsed: $used);
        }
        try {
            $dilution = Dilution::drained(Volume::millilitres($mark), Volume::millilitres($drained), null, Volume::millilitres(self::JUG_ML));
            $plan = FlushPlan::reach(0.0 === $dilution->fraction ? 0.0 : min(0.999, $dilution->most()), Clinging::SHARE, self::TARGET, self::NOT_BOILED, Volume::millilitres($mark));
        } catch (Refusal) {
            // Less came out than the mark: it says nothing of gasoline.
            return new StageResult(oilUsed: $used);
        }

        return new StageResult(dilution: $dilution, plan: $plan, given: ['flush-plan' => [
            'dilution' => (string) round(100 * $dilution->fraction, 1), 'dilution_half_width' => (string) round(100 * $dilution->halfWidth, 1), 'mark_ml' => (string) $mark, 'left_share' => (string) (100 * Clinging::SHARE), 'target' => (string) (100 * self::TARGET),
            'not_boiled_share' => (string) (100 * self::NOT_BOILED), 'at_least' => (string) FlushPlan::USUAL_CHANGES, 'minutes_each' => '30',
        ]], oilUsed: $used, dilutions: BarDrawing::ofDilution($plan, self::TARGET));
    }
}
