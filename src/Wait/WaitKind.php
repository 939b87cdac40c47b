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
        };
    }
}
