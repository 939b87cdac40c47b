<?php

declare(strict_types=1);

namespace AwakeShed\App\Work;

use AwakeShed\App\Show\BarDrawing;
use AwakeShed\App\Show\CylinderDrawing;
use AwakeShed\App\Show\JarDrawing;
use AwakeShed\Core\Carburetor\JetBore;
use AwakeShed\Core\Cylinder\Hydrolock;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Fuel\JarSample;
use AwakeShed\Core\Oil\Dilution;
use AwakeShed\Core\Oil\FlushPlan;
use AwakeShed\Core\Refusal;
use AwakeShed\Core\Stage\Act;
use AwakeShed\Core\Stage\Work;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\Ratio;
use AwakeShed\Core\Units\RatioUnit;
use AwakeShed\Core\Units\Volume;

/** The arithmetic of the stages: the core's, on what was recorded at the steps. */
final readonly class StageFigures
{
    public function __construct(private Work $work, private ShopRepairs $repairs)
    {
    }

    /** What clings at a draining, the target, and what a warm run does not boil off, where nothing was measured (common practice). */
    private const LEFT = 0.15;
    private const TARGET = 0.02;
    private const NOT_BOILED = 1.0;

    /** The error of a jug. */
    private const JUG_ML = 10.0;

    /** @param list<Act> $acts */
    public function of(string $stage, CaseFile $case, array $acts): StageSaying
    {
        return match ($stage) {
            'fuel' => $this->fuel($case),
            'locked' => $this->locked($case, $acts),
            'flush' => $this->flush($case, $acts),
            'jet' => $this->jet($acts),
            'decide' => new StageSaying(given: ['repair' => $this->repairs->given()]),
            default => new StageSaying(),
        };
    }

    private function fuel(CaseFile $case): StageSaying
    {
        $jar = $case->jars[JarSample::Tank->value] ?? null;

        return new StageSaying(jar: null === $jar?->layers ? null : JarDrawing::of($jar->layers, $jar->look));
    }

    /** @param list<Act> $acts */
    private function jet(array $acts): StageSaying
    {
        $bores = [];
        foreach ($acts as $act) {
            if (isset($act->figures['bore_mm'])) {
                $bores[$act->step] = $act->figures['bore_mm'];
            }
        }
        try {
            return !isset($bores['jet.before'], $bores['jet.after']) ? new StageSaying()
                : new StageSaying(jetFlow: JetBore::of(Length::millimetres($bores['jet.before']))->flowInto(JetBore::of(Length::millimetres($bores['jet.after']))));
        } catch (Refusal) {
            // Bounds of the step and of the jet are the same; what was recorded under older ones says nothing.
            return new StageSaying();
        }
    }

    /** @param list<Act> $acts */
    private function locked(CaseFile $case, array $acts): StageSaying
    {
        $pulls = Work::pulls($acts);
        [$displacement, $ratio] = [$case->machine->displacementCc, $case->machine->compressionRatio];
        try {
            $cylinder = 0 === $pulls->count() || null === $displacement || null === $ratio ? null
                : CylinderDrawing::of(Hydrolock::in(Volume::millilitres($displacement), Ratio::of($ratio, RatioUnit::ToOne), $pulls->thrown()));
        } catch (Refusal) {
            // Thrown more than a cylinder of this size can hold: the pulls stand, the drawing would lie.
            $cylinder = null;
        }

        return new StageSaying(pulls: $pulls, cylinder: $cylinder);
    }

    /** @param list<Act> $acts */
    private function flush(CaseFile $case, array $acts): StageSaying
    {
        $mark = $case->machine->oilMl;
        $drained = null;
        $used = Volume::zero();
        foreach ($acts as $act) {
            $drained = 'flush.drain' === $act->step ? $act->figures['ml'] ?? null : $drained;
            $used = $this->work->step($act->step)->takesOil ? $used->plus(Volume::millilitres($act->figures['ml'] ?? 0.0)) : $used;
        }
        if (null === $mark || null === $drained) {
            return new StageSaying(oilUsed: $used);
        }
        try {
            $dilution = Dilution::drained(Volume::millilitres($mark), Volume::millilitres($drained), Volume::zero(), Volume::millilitres(self::JUG_ML));
            $plan = FlushPlan::reach($dilution->fraction, self::LEFT, self::TARGET, self::NOT_BOILED, Volume::millilitres($mark));
        } catch (Refusal) {
            // Less came out than the mark: it says nothing of gasoline.
            return new StageSaying(oilUsed: $used);
        }

        return new StageSaying(dilution: $dilution, plan: $plan, given: ['flush-plan' => [
            'dilution' => (string) round(100 * $dilution->fraction, 1), 'mark_ml' => (string) $mark, 'left_share' => (string) (100 * self::LEFT), 'target' => (string) (100 * self::TARGET),
            'not_boiled_share' => (string) (100 * self::NOT_BOILED), 'at_least' => (string) FlushPlan::USUAL_CHANGES, 'minutes_each' => '30',
        ]], oilUsed: $used, dilutions: BarDrawing::ofDilution($plan, self::TARGET));
    }
}
