<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Account;

use AwakeShed\App\Account\SessionTable;
use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Driver\PDO\Exception as DriverException;
use Doctrine\DBAL\Exception\DeadlockException;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Of two nodes that write one session at once the second writes again, and not for ever. */
final class SessionTableTest extends TestCase
{
    #[TestWith([0, 1, true]), TestWith([4, 5, true]), TestWith([5, 5, false])]
    public function testWhatWasLostToAnotherNodeIsWrittenAgain(int $lost, int $tries, bool $isWritten): void
    {
        $written = 0;
        $database = self::createStub(Connection::class);
        $database->method('executeStatement')->willReturnCallback(static function () use (&$written, $lost): int {
            if (++$written <= $lost) {
                throw new DeadlockException(DriverException::new(new \PDOException('certification')), null);
            }

            return 1;
        });
        $table = new SessionTable($database);
        try {
            self::assertTrue($table->write('a', 'content'));
            self::assertTrue($isWritten);
        } catch (DeadlockException) {
            self::assertFalse($isWritten);
        }
        self::assertSame($tries, $written);
    }

    public function testWhatIsGivenUpIsNeitherReadNorWritten(): void
    {
        $database = $this->createMock(Connection::class);
        $database->expects(self::never())->method('executeStatement');
        $database->expects(self::never())->method('fetchOne');
        $table = new SessionTable($database);
        $table->giveUp();
        self::assertSame('', $table->read('a'));
        self::assertTrue($table->write('a', 'content'));
        self::assertTrue($table->updateTimestamp('a', 'content'));
        self::assertSame(0, $table->gc(10));
    }
}
