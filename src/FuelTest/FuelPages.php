<?php

declare(strict_types=1);

namespace AwakeShed\App\FuelTest;

use AwakeShed\App\Drawing\JarDrawing;
use AwakeShed\App\Evidence\Recorder;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Wait\WaitKind;
use AwakeShed\App\Wait\WaitRepository;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Fuel\FuelVerdict;
use AwakeShed\Core\Fuel\JarLayers;
use AwakeShed\Core\Fuel\JarReading;
use AwakeShed\Core\Fuel\JarSample;
use AwakeShed\Core\Fuel\Settling;
use AwakeShed\Core\Fuel\WaterTolerance;
use AwakeShed\Core\Progress\Progression;
use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\Volume;
use Psr\Clock\ClockInterface;

/** Works out what the page of a jar shows. */
final readonly class FuelPages
{
    /** The height a wait is reckoned for before one is read (common practice: a tumbler half full). */
    private const USUAL_HEIGHT_MM = 100.0;

    private const USUAL_VOLUME_ML = 100.0;

    private const CLAIMED_ETHANOL = ['ethanol_free' => 0.0, 'e10' => 0.10, 'e15' => 0.15];
    private const ASSUMED_ETHANOL = 0.10;

    public function __construct(
        private Recorder $recorder,
        private WaitRepository $waits,
        private WaterTolerance $tolerance,
        private ClockInterface $clock,
    ) {
    }

    public function forJar(Job $job, JarSample $sample): FuelPage
    {
        $record = $this->recorder->open($job);
        $case = $record->case();
        $jar = $case->jars[$sample->value] ?? new JarReading();
        if (JarSample::Tank === $sample) {
            $jar = $jar->smelling($record->smellElsewhere());
        }
        $school = Progression::schoolOf($case);
        $height = $jar->layers->height ?? Length::millimetres(self::USUAL_HEIGHT_MM);
        $wait = $this->waits->runningFor($job, WaitKind::settling($sample));

        return new FuelPage(
            $record,
            $sample,
            $jar,
            FuelVerdict::onJar($jar, $school),
            $school,
            FuelVerdict::streamOf($jar),
            JarDrawing::ofLayers($jar->layers ?? JarLayers::read($height, Volume::millilitres(self::USUAL_VOLUME_ML), Volume::zero()), $jar->look),
            $jar->shift?->content(),
            $this->budget($jar, $case),
            $wait,
            null === $wait || $wait->isOver($this->clock->now()),
            Settling::firstLook($height),
            Settling::fullWait($height),
        );
    }

    private function budget(JarReading $jar, CaseFile $case): ?WaterBudget
    {
        if (null === $jar->tank) {
            return null;
        }
        $said = $case->standing('claim.fuel_kind')->outcomes[0] ?? '';
        [$ethanol, $source] = match (true) {
            null !== $jar->shift => [$jar->shift->content()->corrected, EthanolSource::Measured],
            isset(self::CLAIMED_ETHANOL[$said]) => [self::CLAIMED_ETHANOL[$said], EthanolSource::Claimed],
            default => [self::ASSUMED_ETHANOL, EthanolSource::Assumed],
        };
        try {
            return new WaterBudget(
                $this->tolerance->tolerated($ethanol, $jar->tank->now, $jar->tank->volume),
                $this->tolerance->tolerated($ethanol, $jar->tank->tonight, $jar->tank->volume),
                $ethanol,
                $source,
            );
        } catch (ImpossibleAmount) {
            // More ethanol than the table reaches: the verdict says it is not for this engine, and no figure is made up.
            return null;
        }
    }
}
