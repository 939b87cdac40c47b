<?php

declare(strict_types=1);

namespace AwakeShed\App\Intake;

use AwakeShed\App\Job\Job;

/** A machine that is here again so soon that somebody should ask why (common practice: two months). */
final readonly class Comeback
{
    private const DAYS = 60;

    private function __construct()
    {
    }

    public static function isSoon(Job $before, \DateTimeImmutable $now): bool
    {
        $wentHome = $before->getHandedBackAt();

        return null !== $wentHome && $now <= $wentHome->modify(\sprintf('+%d days', self::DAYS));
    }
}
