<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Trace;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Device\Gauge\TraceKind;
use AwakeShed\App\Once\Leases;
use AwakeShed\App\Trace\RecordingSlots;
use AwakeShed\App\Trace\Trace;
use AwakeShed\Tests\App\ShedTestCase;

final class RecordingSlotsTest extends ShedTestCase
{
    public function testOnePersonsRecordingsAreBoundedAndAnothersAreNot(): void
    {
        $slots = self::service(RecordingSlots::class);
        $technician = $this->member(Role::Technician);
        $held = [];
        for ($slot = 0; $slot < RecordingSlots::EACH; ++$slot) {
            $held[] = $slots->take($technician) ?? self::fail('A slot was missing.');
        }
        self::assertNull($slots->take($technician));
        self::assertNotNull($slots->take($this->member(Role::Apprentice)));

        $this->signIn();
        $trace = Trace::begun(TraceKind::Needle, null, 'needle_holds', $technician, new \DateTimeImmutable());
        self::entities()->persist($trace);
        self::entities()->flush();
        ob_start();
        $this->browser->request('GET', '/traces/'.$trace->getId().'/live');
        ob_end_clean();
        self::assertStringContainsString('Three recordings of yours run already', $this->browser->getInternalResponse()->getContent());

        self::service(Leases::class)->give($held[1]);
        self::assertNotNull($slots->take($technician));
    }
}
