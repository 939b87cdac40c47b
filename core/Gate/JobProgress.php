<?php

declare(strict_types=1);

namespace AwakeShed\Core\Gate;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Fuel\FuelDecision;
use AwakeShed\Core\Fuel\FuelVerdict;
use AwakeShed\Core\Fuel\JarReading;
use AwakeShed\Core\Fuel\JarSample;
use AwakeShed\Core\Fuel\OldFuelSchool;

/** Where a job has got to, and the one thing it waits for. */
final readonly class JobProgress
{
    /** @param string $waitsFor id of a hold, a look, or one of fuel.jar, fuel.look, fuel.away, engine.split, carburetor.on */
    private function __construct(public Progress $stand, public string $waitsFor)
    {
    }

    /** @param list<GateState> $walk the gates of the same case */
    public static function of(CaseFile $case, array $walk): self
    {
        foreach ($walk as $gate) {
            if ([] !== $gate->holds) {
                return new self(Progress::Stopped, $gate->holds[0]->id);
            }
        }
        foreach ($walk as $gate) {
            if ([] !== $gate->missing) {
                return new self(self::anythingSeen($case) ? Progress::AtGates : Progress::TakenIn, $gate->missing[0]);
            }
        }

        if ($case->isApart) {
            return new self(Progress::Apart, 'carburetor.on');
        }

        return self::atFuel($case->jars[JarSample::Tank->value] ?? null, self::schoolOf($case));
    }

    public static function schoolOf(CaseFile $case): OldFuelSchool
    {
        return OldFuelSchool::tryFrom($case->schools['old_fuel'] ?? '') ?? OldFuelSchool::DiscardPastSixMonths;
    }

    private static function atFuel(?JarReading $jar, OldFuelSchool $school): self
    {
        $decision = null === $jar || $jar->isBlank() ? null : FuelVerdict::of($jar, $school)->decision;

        return match ($decision) {
            null => new self(Progress::AtFuel, 'fuel.jar'),
            FuelDecision::Undecided => new self(Progress::AtFuel, 'fuel.look'),
            FuelDecision::PartsWashingOnly, FuelDecision::Discard => new self(Progress::Ready, 'fuel.away'),
            FuelDecision::Use, FuelDecision::Empty => new self(Progress::Ready, 'engine.split'),
        };
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
