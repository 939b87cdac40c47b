<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Wait;

use AwakeShed\App\Wait\WaitKind;
use AwakeShed\Core\Fuel\JarSample;
use PHPUnit\Framework\TestCase;

final class WaitKindTest extends TestCase
{
    /** Whoever taps what waits in the bar comes to where it is waited for. */
    public function testEachWaitLeadsToItsPage(): void
    {
        $pages = [];
        foreach (WaitKind::cases() as $kind) {
            [$route, $parameters] = $kind->page();
            $pages[$kind->value] = implode(' ', [$route, ...$parameters]).($kind->endsLoudly() ? ', loudly' : '');
        }

        self::assertSame([
            'settle_tank' => 'fuel tank',
            'settle_bowl' => 'fuel bowl',
            'dry_tank' => 'stage fuel',
            'drain_oil' => 'stage flush',
            'bath' => 'carburetor_cleaning',
            'burn_off' => 'stage flush',
            'bowl_fills' => 'stage first_run',
            'bare_run' => 'stage first_run, loudly',
            'warm_up' => 'stage prove',
            'stands_cold' => 'stage prove',
        ], $pages);
        self::assertSame([WaitKind::SettleTank, WaitKind::SettleBowl], [WaitKind::settling(JarSample::Tank), WaitKind::settling(JarSample::Bowl)]);
    }
}
