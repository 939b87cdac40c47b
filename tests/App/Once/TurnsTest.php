<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Once;

use AwakeShed\App\Once\Transaction;
use AwakeShed\App\Once\Turns;
use AwakeShed\Tests\App\ShedTestCase;

final class TurnsTest extends ShedTestCase
{
    /** A lock would not be known at another node of the database; a row that was written is. */
    public function testATurnIsWrittenAndWhoTakesItSeesWhatTheOneBeforeLeft(): void
    {
        $turns = self::service(Turns::class);
        $transaction = self::service(Transaction::class);
        $job = $this->job();
        $database = self::entities()->getConnection();
        $transaction->run(static fn () => $turns->take($job));
        $transaction->run(static fn () => $turns->take($job));
        self::assertSame(2, $this->taken('job '.$job->getId()));
        $database->executeStatement('UPDATE job SET remarks = ? WHERE id = ?', ['said meanwhile', $job->getId()]);
        $turns->hold($job);
        self::assertSame('', $job->getRemarks(), 'Who only holds it goes on with what they had read.');
        $transaction->run(static fn () => $turns->take($job));
        self::assertSame('said meanwhile', $job->getRemarks());
        self::assertSame(4, $this->taken('job '.$job->getId()));
        $turns->hold('owners of 1');
        self::assertSame(1, $this->taken('owners of 1'));
    }

    private function taken(string $name): int
    {
        $taken = self::entities()->getConnection()->fetchOne('SELECT taken FROM turn WHERE name = ?', [$name]);
        self::assertIsNumeric($taken);

        return (int) $taken;
    }
}
