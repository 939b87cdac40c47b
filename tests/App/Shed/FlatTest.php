<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Shed;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Carburetor\WantedPart;
use AwakeShed\App\Carburetor\WantedState;
use AwakeShed\App\Oil\Oil;
use AwakeShed\App\Oil\Shelf;
use AwakeShed\App\Shed\ShedList;
use AwakeShed\App\Shed\ShedQuery;
use AwakeShed\App\Shed\ShedSort;
use AwakeShed\App\Waste\WasteCan;
use AwakeShed\App\Waste\WasteLedger;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Fuel\WasteStream;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Tests\App\ShedTestCase;
use AwakeShed\Tests\Copies;
use Doctrine\DBAL\Connection;

/** What a page reads of the database is what it shows, however long the shed has been at it: as the server counts it. */
final class FlatTest extends ShedTestCase
{
    /** Rows: full pages, a hundredth of the machines in the shed with their parts, the weeks they came in. */
    private const SLACK = 1000;

    private const PAGES = ['/', '/?sort=newest', '/?sort=machine', '/?kind=generator', '/?stand=taken_in', '/?stand=handed_back', '/?stand=handed_back&kind=mower', '/parts', '/parts.csv', '/waste', '/oil', '/oil.csv', '/plan/ahead', '/shelf', '/season'];

    public function testThousandsOfMachinesMoreCostNoMore(): void
    {
        $this->shed();
        $this->signIn();
        $few = array_map($this->rowsRead(...), array_combine(self::PAGES, self::PAGES));
        $this->thousandsMore();
        foreach ($few as $page => $rows) {
            self::assertLessThanOrEqual(1.2 * $rows + self::SLACK, $this->rowsRead($page), $page);
        }
    }

    /** A word that most machines answer to, one that few do, both, and two that never come together; a hundred are gone through, and no more. */
    public function testSearchCostsNoMoreEither(): void
    {
        $this->shed();
        $this->thousandsMore();
        $list = new ShedList(self::service(Connection::class), 100);
        foreach (['mower', 'rare', 'mower rare', 'heron test', 'odd even', 'nothing'] as $find) {
            foreach ([new ShedQuery($find), new ShedQuery($find, sort: ShedSort::Machine), new ShedQuery($find, kind: MachineKind::Mower), new ShedQuery($find, handedBack: true, sort: ShedSort::Newest)] as $query) {
                $before = $this->read();
                $list->page($query);
                $list->counts($query);
                self::assertLessThan(2 * self::SLACK, $this->read() - $before, $find);
            }
        }
    }

    /** A machine with one of everything that goes on being written. */
    private function shed(): void
    {
        $entities = self::entities();
        $job = $this->job();
        $this->found($job, Finding::observed('look.oil_smell', 'gas'));
        $job = $this->again($job);
        $member = $this->member(Role::Technician);
        $can = new WasteCan('Red can', WasteStream::StaleGasoline, Volume::millilitres(20_000));
        $can->empty(new \DateTimeImmutable('-1 hour'));
        $entities->persist($can);
        $part = new WantedPart($job, 'Bowl gasket', 1, $member, new \DateTimeImmutable());
        $part->becomes(WantedState::Here, new \DateTimeImmutable());
        $entities->persist($part);
        $oil = new Oil('SAE 30');
        self::service(Shelf::class)->bought($oil, Volume::millilitres(4000), $member);
        $entities->flush();
        self::service(WasteLedger::class)->pour($job, WasteStream::StaleGasoline, Volume::millilitres(500), $member);
        $entities->flush();
    }

    /** One of a hundred in the shed; what was poured away was so long ago that the can was emptied since. */
    private function thousandsMore(): void
    {
        $copies = new Copies(self::service(Connection::class));
        [$machine, $job, $entry] = array_map(fn (string $table): int => $this->number("SELECT MAX(id) FROM $table"), ['machine', 'job', 'entry']);
        $copies->of('machine', "id = $machine", 'seq_1_to_4000 n', ['id' => "$machine + n.seq"]);
        $copies->of('job', "id = $job", 'seq_1_to_4000 n', ['id' => "$job + n.seq", 'search_text' => "CONCAT('heronbill test mower · cabin ', n.seq % 700, IF(n.seq % 400 = 0, ' rare', ''), IF(n.seq % 2, ' odd', ' even'))", 'machine_id' => "$machine + n.seq", 'gone' => 'n.seq % 100 <> 0', 'handed_back_at' => 'IF(n.seq % 100, NOW() - INTERVAL n.seq HOUR, NULL)', 'taken_in_at' => 'NOW() - INTERVAL n.seq HOUR', 'planned' => 'NULL']);
        $copies->of('entry', "id = $entry", 'seq_1_to_4000 n', ['id' => "$entry + n.seq", 'job_id' => "$job + n.seq"]);
        foreach (['wanted_part' => ['job_id' => "$job + 2 * n.seq - 1"], 'waste_portion' => ['job_id' => "$job + n.seq", 'entry_id' => "$entry + n.seq", 'at' => 'NOW() - INTERVAL 1 + n.seq DAY'], 'oil_move' => ['entry_id' => "$entry + n.seq"]] as $table => $otherwise) {
            $last = $this->number("SELECT MAX(id) FROM $table");
            $copies->of($table, "id = $last", 'wanted_part' === $table ? 'seq_1_to_2000 n' : 'seq_1_to_4000 n', ['id' => "$last + n.seq"] + $otherwise);
        }
    }

    private function rowsRead(string $page): int
    {
        self::entities()->clear();
        $before = $this->read();
        $this->browser->request('GET', $page);
        self::assertResponseIsSuccessful($page);

        return $this->read() - $before;
    }

    private function read(): int
    {
        $rows = self::service(Connection::class)->fetchAllKeyValue("SHOW SESSION STATUS WHERE Variable_name LIKE 'Handler\\_read\\_%' AND Variable_name <> 'Handler_read_retry'");

        return (int) array_sum(array_map(static fn (mixed $count): int => is_numeric($count) ? (int) $count : 0, $rows));
    }

    private function number(string $sql): int
    {
        $number = self::service(Connection::class)->fetchOne($sql);

        return is_numeric($number) ? (int) $number : self::fail($sql);
    }
}
