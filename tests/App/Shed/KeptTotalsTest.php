<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Shed;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Evidence\NewEntry;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobRepository;
use AwakeShed\App\Job\Machine;
use AwakeShed\App\Oil\Oil;
use AwakeShed\App\Oil\OilMove;
use AwakeShed\App\Oil\Shelf;
use AwakeShed\App\Waste\WasteCan;
use AwakeShed\App\Waste\WastePortion;
use AwakeShed\App\Waste\WasteRepository;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Fuel\WasteStream;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Tests\App\ShedTestCase;
use Doctrine\DBAL\Connection;

/** What is kept of all there ever was is what adding it up would say, whoever writes and takes back. */
final class KeptTotalsTest extends ShedTestCase
{
    public function testWhatWasPouredIsKeptAsItIsWrittenTakenBackStruckAndDeleted(): void
    {
        $job = $this->job();
        $this->found($job, Finding::observed('look.oil_smell', 'gas'));
        $job = $this->again($job);
        $entry = self::entities()->getReference(NewEntry::class, $this->lastEntry()) ?? self::fail();
        $can = new WasteCan('Red can', WasteStream::StaleGasoline, Volume::millilitres(20_000));
        self::entities()->persist($can);
        $portions = [];
        foreach ([[WasteStream::StaleGasoline, 700, null], [WasteStream::StaleGasoline, 300.25, $entry], [WasteStream::Solvent, 40, $entry]] as [$stream, $ml, $step]) {
            $portions[] = $portion = new WastePortion($job, $stream, Volume::millilitres($ml), $this->member(Role::Technician), new \DateTimeImmutable(), $can, $step);
            self::entities()->persist($portion);
        }
        self::entities()->flush();
        $this->assertPoured(1000.25, 40, 1040.25, $can);
        $this->strike(1);
        $this->assertPoured(700, 0, 700, $can);
        // Taken back as well, it counts no more whatever becomes of the step.
        $portions[2]->takeBack(new \DateTimeImmutable());
        self::entities()->flush();
        $this->strike(0);
        $this->assertPoured(1000.25, 0, 1000.25, $can);
        $portions[0]->takeBack(new \DateTimeImmutable());
        self::entities()->flush();
        $this->assertPoured(300.25, 0, 300.25, $can);
        $can->empty(new \DateTimeImmutable('+1 second'));
        self::entities()->flush();
        $this->assertPoured(300.25, 0, 0, $can);
        foreach ($portions as $portion) {
            self::entities()->remove($portion);
        }
        self::entities()->flush();
        $this->assertPoured(0, 0, 0, $can);
    }

    public function testWhatWasTakenOffTheShelfIsKeptAsWell(): void
    {
        $this->found($this->job(), Finding::observed('look.oil_smell', 'gas'));
        $entry = self::entities()->getReference(NewEntry::class, $this->lastEntry()) ?? self::fail();
        $oil = new Oil('SAE 30');
        $shelf = self::service(Shelf::class);
        $shelf->bought($oil, Volume::millilitres(4000), $this->member(Role::Technician));
        self::entities()->flush();
        self::assertSame([4000.0, 0.0], $this->onShelf());
        $shelf->take($oil, Volume::millilitres(550.5), $this->member(Role::Technician), $entry);
        self::entities()->flush();
        self::assertSame([3449.5, 550.5], $this->onShelf());
        $this->strike(1);
        self::assertSame([4000.0, 0.0], $this->onShelf());
        $this->strike(0);
        self::assertSame([3449.5, 550.5], $this->onShelf());
        $shelf->counted($oil, Volume::millilitres(3000), $this->member(Role::Technician));
        self::entities()->flush();
        self::assertSame([3000.0, 550.5], $this->onShelf(), 'a count changes what stands, not what was used');
        // Whatever writes there is counted, not the application alone.
        self::service(Connection::class)->executeStatement('UPDATE oil_move SET millilitres = -600 WHERE entry_id IS NOT NULL');
        self::assertSame([2950.5, 600.0], $this->onShelf());
        self::service(Connection::class)->executeStatement('DELETE FROM oil_move WHERE entry_id IS NOT NULL');
        self::assertSame([3550.5, 0.0], $this->onShelf());
        self::assertSame(2, self::entities()->getRepository(OilMove::class)->count());
    }

    public function testMachinesAreCountedByTheMondayOfTheirWeek(): void
    {
        // A Sunday and the Monday after it; a machine that turns out to be of another kind; one that is deleted.
        $jobs = array_map(fn (string $at): Job => $this->takenIn($at), ['2026-11-15 23:59:59', '2026-11-16 00:00:00', '2026-11-20 12:00:00', '2026-11-20 12:00:00']);
        self::assertSame(['2026-11-09' => 1, '2026-11-16' => 3], self::service(JobRepository::class)->takenInByWeek(new \DateTimeImmutable('2026-11-02')));
        self::assertSame(['2026-11-16' => 3], self::service(JobRepository::class)->takenInByWeek(new \DateTimeImmutable('2026-11-16')));
        self::service(Connection::class)->executeStatement("UPDATE job SET kind = 'generator' WHERE id = ?", [$jobs[2]->getId()]);
        self::assertSame(['mower' => 2, 'generator' => 1], self::service(JobRepository::class)->kindsSince(new \DateTimeImmutable('2026-11-16')));
        self::entities()->remove($jobs[3]);
        self::entities()->flush();
        self::service(Connection::class)->executeStatement("UPDATE job SET taken_in_at = '2026-11-23 08:00' WHERE id = ?", [$jobs[1]->getId()]);
        self::assertSame(['2026-11-16' => 1, '2026-11-23' => 1], self::service(JobRepository::class)->takenInByWeek(new \DateTimeImmutable('2026-11-16')));
    }

    private function assertPoured(float $gasoline, float $solvent, float $held, WasteCan $can): void
    {
        $totals = self::service(WasteRepository::class)->totals();
        self::assertSame([$gasoline, $solvent], [$totals['stale_gasoline']->inMillilitres(), $totals['solvent']->inMillilitres()]);
        self::assertSame([$can->getId() => $held], self::service(WasteRepository::class)->heldByCan([$can]));
        $ledger = [...self::service(WasteRepository::class)->ledger()];
        self::assertEqualsWithDelta($gasoline + $solvent, array_sum(array_column($ledger, 'ml')), 1e-9);
    }

    /** @return array{float, float} what stands, what was used, mL */
    private function onShelf(): array
    {
        $stock = self::service(Shelf::class)->stocks()[0];

        return [$stock->left->inMillilitres(), $stock->used->inMillilitres()];
    }

    /** The step is taken back, or that is. */
    private function strike(int $struck): void
    {
        self::service(Connection::class)->executeStatement('UPDATE entry SET struck = ? WHERE id = ?', [$struck, $this->lastEntry()]);
    }

    private function lastEntry(): int
    {
        $id = self::service(Connection::class)->fetchOne('SELECT MAX(id) FROM entry');

        return is_numeric($id) ? (int) $id : self::fail();
    }

    private function takenIn(string $at): Job
    {
        $job = new Job(new Machine('Heronbill test mower', new MachineFacts(MachineKind::Mower), 'Cabin 4', ''), $this->member(Role::Technician), new \DateTimeImmutable($at));
        self::entities()->persist($job);
        self::entities()->flush();

        return $job;
    }
}
