<?php

declare(strict_types=1);

namespace AwakeShed\Core\Fuel;

/** What a jar's fuel is good for, and why. */
final readonly class FuelVerdict
{
    /**
     * @param list<FuelReason> $reasons strongest first
     * @param list<string>     $missing what has not been looked at and could still change the decision: layers, clarity, smell, age
     */
    private function __construct(public FuelDecision $decision, public array $reasons, public array $missing, public TankAction $tankAction)
    {
    }

    /** The fuel of an engine is judged the same wherever it was drawn; only its tank action is the tank's. */
    public static function onJar(JarReading $jar, OldFuelSchool $school): self
    {
        if (true === $jar->layers?->isEmpty()) {
            return new self(FuelDecision::Empty, [], [], TankAction::Nothing);
        }
        $reasons = [...self::layerReasons($jar), ...self::lookReasons($jar->look), ...self::ageReasons($jar, $school), ...self::ethanolReasons($jar)];
        $rank = array_flip(array_map(static fn (FuelDecision $decision): string => $decision->value, FuelDecision::cases()));
        usort($reasons, static fn (FuelReason $a, FuelReason $b): int => $rank[$b->speaksFor->value] <=> $rank[$a->speaksFor->value]);
        $worst = $reasons[0]->speaksFor ?? FuelDecision::Use;
        $missing = FuelDecision::Discard === $worst ? [] : array_keys(array_filter([
            'layers' => null === $jar->layers,
            'clarity' => null === $jar->look->clarity,
            'smell' => null === $jar->look->smell,
            'age' => null === $jar->age,
        ]));

        return new self([] === $missing ? $worst : FuelDecision::Undecided, $reasons, $missing, self::tankActionFor($jar));
    }

    /** The can it goes into when it is not kept. */
    public static function streamOf(JarReading $jar): WasteStream
    {
        return true === $jar->layers?->hasTwo() ? WasteStream::GasolineWater : WasteStream::StaleGasoline;
    }

    /** @return list<FuelReason> */
    private static function layerReasons(JarReading $jar): array
    {
        if (null === $jar->layers || !$jar->layers->hasTwo()) {
            return [];
        }
        $code = match ($jar->growth?->outcome) {
            LayerGrowthOutcome::GrewByMore => 'separated',
            LayerGrowthOutcome::GrewByDose => 'free_water',
            LayerGrowthOutcome::NoLayer, null => 'two_layers',
        };

        return [new FuelReason($code, FuelDecision::Discard, ['lower_ml' => round($jar->layers->lower->inMillilitres(), 1)])];
    }

    /** @return list<FuelReason> */
    private static function lookReasons(JarLook $look): array
    {
        return array_values(array_filter([
            $look->shows(Specks::Jelly) ? new FuelReason('jelly', FuelDecision::Discard) : null,
            $look->shows(Specks::Rust) ? new FuelReason('rust', FuelDecision::Discard) : null,
            FuelSmell::Varnish === $look->smell ? new FuelReason('varnish', FuelDecision::Discard) : null,
            FuelColour::Brown === $look->colour ? new FuelReason('brown', FuelDecision::Discard) : null,
            Clarity::Hazy === $look->clarity ? new FuelReason('hazy', FuelDecision::PartsWashingOnly) : null,
            $look->shows(Specks::Dirt) ? new FuelReason('dirt', FuelDecision::PartsWashingOnly) : null,
            FuelSmell::Stale === $look->smell ? new FuelReason('stale', FuelDecision::PartsWashingOnly) : null,
        ]));
    }

    /** @return list<FuelReason> */
    private static function ageReasons(JarReading $jar, OldFuelSchool $school): array
    {
        if (null === $jar->age) {
            return [];
        }
        if (!$jar->age->isKnown()) {
            // Neither school keeps what nobody can date.
            return [new FuelReason('age_unknown', FuelDecision::PartsWashingOnly)];
        }
        if (!$jar->age->isPastLimit()) {
            return [];
        }
        $figures = ['months' => (float) $jar->age->months, 'limit' => FuelAge::LIMIT_MONTHS];

        return match ($school) {
            OldFuelSchool::DiscardPastSixMonths => [new FuelReason('old', FuelDecision::PartsWashingOnly, $figures)],
            OldFuelSchool::KeepIfClearAndFresh => [new FuelReason('old_but_kept', FuelDecision::Use, $figures)],
        };
    }

    /** @return list<FuelReason> */
    private static function ethanolReasons(JarReading $jar): array
    {
        $content = $jar->shift?->content();
        if (null === $content) {
            return [];
        }
        $figures = ['ethanol_percent' => round(100 * $content->corrected, 1), 'half_width_percent' => round(100 * $content->halfWidth, 1)];

        return match ($content->againstSmallEngineLimit()) {
            EngineLimit::Over => [new FuelReason('ethanol_over', FuelDecision::PartsWashingOnly, $figures)],
            EngineLimit::CannotTell => [new FuelReason('ethanol_near', FuelDecision::Use, $figures)],
            EngineLimit::Within => [],
        };
    }

    private static function tankActionFor(JarReading $jar): TankAction
    {
        return match (true) {
            $jar->look->shows(Specks::Rust) => TankAction::CleanOrReplace,
            true === $jar->layers?->hasTwo(), $jar->look->shows(Specks::Jelly) => TankAction::RemoveAndDry,
            $jar->look->isDarkOrDirty(), FuelSmell::Varnish === $jar->look->smell, Clarity::Hazy === $jar->look->clarity => TankAction::Flush,
            default => TankAction::Nothing,
        };
    }
}
