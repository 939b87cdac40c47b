<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Account;

use AwakeShed\App\Account\SessionFiles;
use AwakeShed\App\Account\SessionTable;
use AwakeShed\Tests\App\ShedTestCase;
use PHPUnit\Framework\Attributes\TestWith;

/** Files beside one web server or rows that several share: a session must not tell the difference. */
final class SessionPlacesTest extends ShedTestCase
{
    private const ID = 'q8f2v6r4t1y3u5i7o9p0a2s4d6';

    private SessionFiles|SessionTable $place;
    private string $folder;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir().'/shed-sessions-'.bin2hex(random_bytes(4));
        mkdir($this->folder.'/sessions', recursive: true);
    }

    protected function tearDown(): void
    {
        array_map(unlink(...), array_filter((array) glob($this->folder.'/sessions/*'), is_string(...)));
        rmdir($this->folder.'/sessions');
        rmdir($this->folder);
        parent::tearDown();
    }

    /** @param class-string $class */
    #[TestWith([SessionFiles::class]), TestWith([SessionTable::class])]
    public function testWhatIsWrittenIsReadUntilItEnds(string $class): void
    {
        $this->open($class);
        self::assertFalse($this->place->has(self::ID));
        self::assertSame('', $this->place->read(self::ID));
        self::assertTrue($this->place->write(self::ID, "who|s:6:\"tamsin\";\0raw"));
        self::assertTrue($this->place->has(self::ID));
        self::assertSame("who|s:6:\"tamsin\";\0raw", $this->place->read(self::ID));
        $this->place->write(self::ID, 'second');
        self::assertSame('second', $this->place->read(self::ID));
        self::assertFalse($this->place->has(strrev(self::ID)));
        self::assertTrue($this->place->destroy(self::ID));
        self::assertFalse($this->place->has(self::ID));
        self::assertSame('', $this->place->read(self::ID));
    }

    /** @param class-string $class */
    #[TestWith([SessionFiles::class]), TestWith([SessionTable::class])]
    public function testOneThatIsNotUsedForHalfADayIsNone(string $class): void
    {
        $this->open($class);
        $this->place->write(self::ID, 'kept');
        $this->age(SessionFiles::LIFE - 30);
        self::assertTrue($this->place->has(self::ID), 'One in use ended.');
        // A page that changes nothing in it keeps it.
        $this->place->updateTimestamp(self::ID, 'kept');
        $this->age(30);
        self::assertTrue($this->place->has(self::ID));
        self::assertSame(0, $this->place->gc(SessionFiles::LIFE));
        $this->age(SessionFiles::LIFE);
        self::assertFalse($this->place->has(self::ID));
        self::assertSame('', $this->place->read(self::ID));
        self::assertSame(1, $this->place->gc(SessionFiles::LIFE));
    }

    /** While the page about it is made: nothing is asked of it, nobody loses their session, and the next handling begins anew. */
    public function testATableThatDoesNotAnswerIsLeftAlone(): void
    {
        $this->open(SessionTable::class);
        $table = $this->place;
        \assert($table instanceof SessionTable);
        $table->write(self::ID, 'kept');
        $table->giveUp();
        self::assertSame('', $table->read(self::ID));
        $table->write(self::ID, '');
        $table->write(self::ID, 'overwritten');
        $table->destroy(self::ID);
        $table->reset();
        self::assertSame('kept', $table->read(self::ID));
    }

    /** @param class-string $class */
    private function open(string $class): void
    {
        $this->place = SessionFiles::class === $class ? new SessionFiles($this->folder) : new SessionTable(self::entities()->getConnection());
        $this->place->open('', 'shed');
    }

    private function age(int $seconds): void
    {
        clearstatcache();
        foreach (array_filter((array) glob($this->folder.'/sessions/*'), is_string(...)) as $file) {
            touch($file, (int) filemtime($file) - $seconds);
        }
        clearstatcache();
        self::entities()->getConnection()->executeStatement('UPDATE session_row SET seen_at = seen_at - INTERVAL ? SECOND', [$seconds]);
    }
}
