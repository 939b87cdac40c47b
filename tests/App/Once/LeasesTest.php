<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Once;

use AwakeShed\App\Once\HeldLease;
use AwakeShed\App\Once\Leases;
use AwakeShed\Tests\App\ShedTestCase;

final class LeasesTest extends ShedTestCase
{
    public function testOneHoldsItUntilItIsGivenBack(): void
    {
        $leases = self::service(Leases::class);
        $first = $leases->take('bench', 30);
        self::assertNotNull($first);
        self::assertNull($leases->take('bench', 30));
        self::assertNotNull($leases->take('another bench', 30));
        self::assertTrue($leases->keep($first));
        $leases->give($first);
        self::assertFalse($leases->keep($first));
        self::assertNotNull($leases->take('bench', 30));
    }

    public function testOneThatRanOutIsTheNextOnes(): void
    {
        $leases = self::service(Leases::class);
        $died = $leases->take('bench', 30);
        self::assertNotNull($died);
        $this->ranOut('bench');
        $next = $leases->take('bench', 30);
        self::assertNotNull($next);
        self::assertFalse($leases->keep($died));
        // What is another's by now is not given back by the one who had it before.
        $leases->give($died);
        self::assertTrue($leases->keep($next));
        self::assertNull($leases->take('bench', 30));
    }

    public function testOneThatRanOutUnnoticedIsKeptAllTheSame(): void
    {
        $leases = self::service(Leases::class);
        $held = $leases->take('bench', 30);
        self::assertInstanceOf(HeldLease::class, $held);
        $this->ranOut('bench');
        self::assertTrue($leases->keep($held));
        self::assertNull($leases->take('bench', 30));
    }

    public function testWhoHasPatienceWaitsOneOut(): void
    {
        $leases = self::service(Leases::class);
        self::assertNotNull($leases->take('bench', 1));
        self::assertNotNull($leases->take('bench', 1, 3));
    }

    private function ranOut(string $name): void
    {
        self::entities()->getConnection()->executeStatement('UPDATE lease SET held_until = UTC_TIMESTAMP(6) - INTERVAL 1 SECOND WHERE name = ?', [$name]);
    }
}
