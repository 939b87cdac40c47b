<?php

declare(strict_types=1);

namespace AwakeShed\App\Wait;

use AwakeShed\Core\Fuel\JarSample;

/** What is being waited for. */
enum WaitKind: string
{
    case SettleTank = 'settle_tank';
    case SettleBowl = 'settle_bowl';

    public static function settling(JarSample $sample): self
    {
        return match ($sample) {
            JarSample::Tank => self::SettleTank,
            JarSample::Bowl => self::SettleBowl,
        };
    }

    public function sample(): JarSample
    {
        return match ($this) {
            self::SettleTank => JarSample::Tank,
            self::SettleBowl => JarSample::Bowl,
        };
    }
}
