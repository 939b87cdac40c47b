<?php

declare(strict_types=1);

namespace AwakeShed\App\Wait;

use AwakeShed\Core\Fuel\JarSample;

/** What is being waited for. */
enum WaitKind: string
{
    case SettleTank = 'settle_tank';
    case SettleBowl = 'settle_bowl';
    case DryTank = 'dry_tank';
    case DrainOil = 'drain_oil';

    /** A part in a bath or soaking. */
    case Bath = 'bath';

    /** A run that burns off what is left; it needs an eye on it. */
    case BurnOff = 'burn_off';

    /** Fuel that falls into the bowl by its own weight, before the first pull. */
    case BowlFills = 'bowl_fills';

    /** A run without covers or filter: a minute, and it is stopped. */
    case BareRun = 'bare_run';
    case WarmUp = 'warm_up';

    /** It stands cold, to be started as its owner will. */
    case StandsCold = 'stands_cold';

    /** Whether its end is to be heard whoever has turned sounds off: an engine is running meanwhile. */
    public function endsLoudly(): bool
    {
        return self::BareRun === $this;
    }

    public static function settling(JarSample $sample): self
    {
        return match ($sample) {
            JarSample::Tank => self::SettleTank,
            JarSample::Bowl => self::SettleBowl,
        };
    }

    /** @return array{string, array<string, string>} the route of the page it is waited for on, with its parameters but the job */
    public function page(): array
    {
        return match ($this) {
            self::SettleTank => ['fuel', ['sample' => JarSample::Tank->value]],
            self::SettleBowl => ['fuel', ['sample' => JarSample::Bowl->value]],
            self::DryTank => ['stage', ['stage' => 'fuel']],
            self::Bath => ['carburetor_cleaning', []],
            self::DrainOil, self::BurnOff => ['stage', ['stage' => 'flush']],
            self::BowlFills, self::BareRun => ['stage', ['stage' => 'first_run']],
            self::WarmUp, self::StandsCold => ['stage', ['stage' => 'prove']],
        };
    }
}
