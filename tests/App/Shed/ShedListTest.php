<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Shed;

use AwakeShed\App\Account\Role;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\Machine;
use AwakeShed\App\Shed\ShedList;
use AwakeShed\App\Shed\ShedPage;
use AwakeShed\App\Shed\ShedQuery;
use AwakeShed\App\Shed\ShedRow;
use AwakeShed\App\Shed\ShedSort;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Progress\Progress;
use AwakeShed\Tests\App\ShedTestCase;

final class ShedListTest extends ShedTestCase
{
    private const MACHINES = 131;

    /** @return iterable<string, ShedQuery> */
    private static function questions(): iterable
    {
        foreach (ShedSort::cases() as $sort) {
            foreach ([null, MachineKind::Generator] as $kind) {
                foreach ([null, Progress::TakenIn] as $stand) {
                    yield \sprintf('%s, %s, %s', $sort->value, $kind->value ?? 'any kind', $stand->value ?? 'anywhere') => new ShedQuery(kind: $kind, stand: $stand, sort: $sort);
                }
                yield \sprintf('%s, %s, gone', $sort->value, $kind->value ?? 'any kind') => new ShedQuery(kind: $kind, handedBack: true, sort: $sort);
            }
        }
    }

    /** Through all pages and back: every machine once, in its order, however many are wanted on the same day. */
    public function testEveryPageFollowsTheOneBefore(): void
    {
        $all = $this->shedful();
        foreach (self::questions() as $said => $query) {
            $wanted = self::answer($all, $query);
            [$there, $page] = $this->walk($query);
            self::assertSame($wanted, $there, $said);
            self::assertSame($wanted, $this->walkBack($query, $page), $said);
        }
        self::assertGreaterThan(2 * ShedQuery::PAGE, \count(self::answer($all, new ShedQuery())), 'One page would prove nothing.');
    }

    /** Read in the order of its own index, from where the page begins: nothing is sorted, and nothing passed over. */
    public function testNoPageIsSortedOrCountedTo(): void
    {
        $from = array_values($this->shedful())[30]->getId();
        foreach (self::questions() as $query) {
            foreach ([$query, $this->beside($query, after: $from), $this->beside($query, before: $from)] as $asked) {
                [$sql, $values] = self::service(ShedList::class)->statement($asked);
                self::assertSame(1, preg_match('/FORCE INDEX \((\w+)\)/', $sql, $index));
                foreach (self::entities()->getConnection()->fetchAllAssociative('EXPLAIN '.$sql, $values) as $step) {
                    self::assertIsString($step['Extra']);
                    self::assertStringNotContainsString('filesort', $step['Extra'], $sql);
                    self::assertStringNotContainsString('temporary', $step['Extra'], $sql);
                    self::assertContains($step['type'], 'j' === $step['table'] ? ['ref', 'range'] : ['eq_ref'], $sql);
                    self::assertSame('j' === $step['table'] ? $index[1] : 'PRIMARY', $step['key'], $sql);
                }
            }
        }
    }

    /** The beginnings of words, in any order, with a job's number as one of them: the same whether each of them is rare or common. */
    public function testWhatIsTypedBeginsWords(): void
    {
        $all = $this->shedful();
        $number = array_keys($all)[77];
        $finds = ['machine', 'mach', 'achine', '7', '#'.$number, (string) $number, '07 MACHINE', 'cabin machine 3', 'Cabin-4', 'machine 99', '%', "m'a", 'machine machine', str_repeat('machine ', 9).'nothing'];
        foreach ([1000, 20] as $many) {
            $list = new ShedList(self::entities()->getConnection(), $many);
            foreach ($finds as $find) {
                foreach ([new ShedQuery($find), new ShedQuery($find, sort: ShedSort::Newest), new ShedQuery($find, kind: MachineKind::Mower, stand: Progress::TakenIn, sort: ShedSort::Machine), new ShedQuery($find, handedBack: true)] as $query) {
                    $wanted = array_values(array_filter(self::answer($all, $query), static fn (int $id): bool => self::isMeant($all[$id], $find)));
                    $there = [];
                    $page = $list->page($query);
                    $there = self::numbers($page);
                    while (null !== $page->after) {
                        $page = $list->page($this->beside($query, after: $page->after));
                        $there = [...$there, ...self::numbers($page)];
                    }
                    self::assertSame($wanted, $there, "$find of $many");
                    $back = self::numbers($page);
                    while (null !== $page->before) {
                        $page = $list->page($this->beside($query, before: $page->before));
                        $back = [...self::numbers($page), ...$back];
                    }
                    self::assertSame($wanted, $back, "$find of $many, back");
                    $counts = $list->counts($query);
                    $here = array_filter(self::answer($all, new ShedQuery(kind: $query->kind)), static fn (int $id): bool => self::isMeant($all[$id], $find));
                    $away = array_filter(self::answer($all, new ShedQuery(kind: $query->kind, handedBack: true)), static fn (int $id): bool => self::isMeant($all[$id], $find));
                    if (1000 === $many) {
                        self::assertSame([\count($here), \count($away)], [$counts->inShed(), $counts->handedBack], $find);
                    } else {
                        self::assertContains($counts->inShed(), [null, \count($here)], $find);
                    }
                }
            }
        }
    }

    /** Of two words that many answer to, and few to both, so many machines are gone through, and the page says so. */
    public function testWhatIsNotSoonFoundIsLookedForFurtherOnAsking(): void
    {
        $all = self::answer($this->shedful(), new ShedQuery());
        $list = new ShedList(self::entities()->getConnection(), 20);
        $last = max([0, ...array_keys(array_filter($all, static fn (int $id): bool => 0 === $id % 2))]);
        self::entities()->getConnection()->executeStatement("UPDATE job SET search_text = CONCAT(search_text, IF(id % 2, ' odd', ' even'), IF(id = ?, ' odd', ''))", [$all[$last]]);
        $page = $list->page(new ShedQuery('odd even'));
        self::assertSame([[], true, null, $all[19]], [$page->rows, $page->isCut, $page->before, $page->after]);
        $looks = 0;
        while ([] === $page->rows && null !== $page->after) {
            $page = $list->page(new ShedQuery('odd even', after: $page->after));
            ++$looks;
        }
        self::assertSame([$all[$last]], self::numbers($page));
        self::assertSame(intdiv($last, 20), $looks);
    }

    public function testWordsAreKeptAsMachinesComeChangeAndGo(): void
    {
        $job = $this->job(label: 'Grünspan 21 (red), L’Étang');
        $words = static fn (): array => self::entities()->getConnection()->fetchAllAssociative('SELECT word, gone FROM job_word WHERE job_id = ? ORDER BY word', [$job->getId()]);
        $kept = static fn (int $gone, string ...$words): array => array_map(static fn (string $word): array => ['word' => $word, 'gone' => $gone], array_values($words));
        self::assertSame($kept(0, '#'.$job->getId(), '21', '4', 'cabin', 'grünspan', 'l', 'red', 'étang'), $words());
        $job->handBack(new \DateTimeImmutable());
        self::entities()->flush();
        self::assertSame(1, $words()[0]['gone']);
        self::entities()->getConnection()->executeStatement("UPDATE job SET search_text = 'heron', gone = 0 WHERE id = ?", [$job->getId()]);
        self::assertSame($kept(0, '#'.$job->getId(), 'heron'), $words());
        self::entities()->getConnection()->executeStatement('DELETE FROM entry WHERE job_id = ?', [$job->getId()]);
        self::entities()->getConnection()->executeStatement('DELETE FROM job WHERE id = ?', [$job->getId()]);
        self::assertSame([], $words());
    }

    public function testCountsAreKeptAsMachinesComeMoveAndGo(): void
    {
        $jobs = array_values($this->shedful());
        $this->assertCounted();
        $this->found($jobs[1], Finding::observed('look.oil_smell', 'gas'));
        $jobs[2]->handBack(new \DateTimeImmutable());
        $jobs[3]->handBack(new \DateTimeImmutable());
        self::entities()->flush();
        $jobs[3]->takeBack();
        self::entities()->flush();
        $this->assertCounted();
        self::entities()->remove($jobs[4]);
        self::entities()->flush();
        $this->assertCounted();
        // Whatever writes there is counted, not the application alone.
        self::entities()->getConnection()->executeStatement("UPDATE job SET kind = 'mower' WHERE kind = 'generator'");
        $this->assertCounted();
        self::assertSame(0, self::service(ShedList::class)->counts(new ShedQuery(kind: MachineKind::Generator))->inShed());
    }

    private function assertCounted(): void
    {
        /** @var array<string, int> $counted */
        $counted = self::entities()->getConnection()->fetchAllKeyValue("SELECT CONCAT_WS('/', gone, kind, stand), COUNT(*) FROM job GROUP BY gone, kind, stand ORDER BY 1");
        $kept = self::entities()->getConnection()->fetchAllKeyValue("SELECT CONCAT_WS('/', gone, kind, stand), SUM(machines) FROM job_count GROUP BY gone, kind, stand HAVING SUM(machines) <> 0 ORDER BY 1");
        self::assertNotSame([], $counted);
        self::assertEquals($counted, $kept);
        $counts = self::service(ShedList::class)->counts(new ShedQuery());
        self::assertSame(array_sum(array_filter($counted, static fn (string $of): bool => str_starts_with($of, '0'), \ARRAY_FILTER_USE_KEY)), $counts->inShed());
        self::assertSame(array_sum(array_filter($counted, static fn (string $of): bool => str_starts_with($of, '1'), \ARRAY_FILTER_USE_KEY)), $counts->handedBack);
    }

    /** @return array{list<int>, ShedPage} what is shown on the way to the last page, and that one */
    private function walk(ShedQuery $query): array
    {
        $page = self::service(ShedList::class)->page($query);
        self::assertNull($page->before);
        $there = self::numbers($page);
        while (null !== $page->after) {
            self::assertCount(ShedQuery::PAGE, $page->rows);
            self::assertSame([false, self::numbers($page)[ShedQuery::PAGE - 1]], [$page->isCut, $page->after]);
            $page = self::service(ShedList::class)->page($this->beside($query, after: $page->after));
            self::assertNotNull($page->before);
            $there = [...$there, ...self::numbers($page)];
        }

        return [$there, $page];
    }

    /** @return list<int> what is shown on the way from a page to the first */
    private function walkBack(ShedQuery $query, ShedPage $page): array
    {
        $back = self::numbers($page);
        while (null !== $page->before) {
            $page = self::service(ShedList::class)->page($this->beside($query, before: $page->before));
            self::assertNotNull($page->after);
            $back = [...self::numbers($page), ...$back];
        }

        return $back;
    }

    private static function isMeant(Job $job, string $find): bool
    {
        $words = ['#'.$job->getId(), ...self::words('/[^\p{L}\p{N}]+/u', $job->getMachine()->getLabel().' '.$job->getMachine()->getOwnerName())];
        $typed = \array_slice(self::words('/[^\p{L}\p{N}#]+/u', $find), 0, 6);
        foreach ($typed as $one) {
            if ([] === array_filter($words, static fn (string $word): bool => '#' === $one[0] || ctype_digit($one) ? \in_array($word, [$one, '#'.$one], true) : str_starts_with($word, $one))) {
                return false;
            }
        }

        return [] !== $typed;
    }

    /** @return list<string> */
    private static function words(string $between, string $text): array
    {
        $words = preg_split($between, mb_strtolower($text), flags: \PREG_SPLIT_NO_EMPTY);

        return false === $words ? [] : $words;
    }

    /**
     * @param array<int, Job> $jobs
     *
     * @return list<int> their numbers as they are to be shown, sorted without any database
     */
    private static function answer(array $jobs, ShedQuery $query): array
    {
        $jobs = array_filter($jobs, static fn (Job $job): bool => $job->isHandedBack() === $query->handedBack
            && (null === $query->kind || $job->getMachine()->getKind() === $query->kind)
            && (null === $query->stand || $job->getStand() === $query->stand));
        $key = static fn (Job $job): array => match ($query->sort) {
            ShedSort::Wanted => [$job->getWantedBy()?->format('Y-m-d') ?? '9', $job->getId()],
            ShedSort::Newest => [-$job->getTakenInAt()->getTimestamp(), -$job->getId()],
            ShedSort::Machine => [mb_strtolower($job->getMachine()->getLabel()), $job->getId()],
        };
        usort($jobs, static fn (Job $a, Job $b): int => $key($a) <=> $key($b));

        return array_map(static fn (Job $job): int => $job->getId(), $jobs);
    }

    /** @return array<int, Job> every other one a generator, of every eighth one gone, on five days */
    private function shedful(): array
    {
        $jobs = [];
        for ($n = 0; $n < self::MACHINES; ++$n) {
            $job = new Job(new Machine(\sprintf('Machine %02d', $n * 7 % 40), new MachineFacts(0 === $n % 2 ? MachineKind::Generator : MachineKind::Mower), 'Cabin 4', ''), $this->member(Role::Technician), new \DateTimeImmutable('2026-11-20 09:0'.$n % 4));
            $job->wantedFor(0 === $n % 4 ? null : new \DateTimeImmutable('2026-12-0'.(1 + $n % 5)), '');
            if (0 === $n % 8) {
                $job->handBack(new \DateTimeImmutable('2026-11-21'));
            }
            self::entities()->persist($job);
            $jobs[] = $job;
        }
        self::entities()->flush();

        return array_combine(array_map(static fn (Job $job): int => $job->getId(), $jobs), $jobs);
    }

    private function beside(ShedQuery $query, ?int $after = null, ?int $before = null): ShedQuery
    {
        return new ShedQuery($query->find, $query->kind, $query->stand, $query->handedBack, $query->sort, $after, $before);
    }

    /** @return list<int> */
    private static function numbers(ShedPage $page): array
    {
        return array_map(static fn (ShedRow $row): int => $row->id, $page->rows);
    }
}
