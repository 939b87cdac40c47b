<?php

declare(strict_types=1);

namespace AwakeShed\App\Http;

use Doctrine\DBAL\Exception\ConnectionException;
use Doctrine\DBAL\Exception\DriverException;
use Doctrine\DBAL\Exception\RetryableException;
use League\Flysystem\UnableToCreateDirectory;
use League\Flysystem\UnableToWriteFile;

/** Tells a failure that will pass by itself, of the database or the disk, from one of ours. */
enum Outage: string
{
    /** It does not answer, stopped answering in the middle, or somebody else holds what is wanted. */
    case Database = 'database';

    /** There is no room left to write to, or no way to. */
    case Disk = 'disk';

    /**
     * MariaDB's own numbers, for what its driver does not sort by itself: the server goes down (1053), the statement
     * was cut short (1317, 1969), the connection was killed (1927) or lost while it was read from (2006, 2013), too
     * many are connected (1040); a node has lost the others of its cluster (1047).
     */
    private const LOST = [1040, 1047, 1053, 1317, 1927, 1969, 2002, 2006, 2013];

    /** MariaDB: table full (1114), no room on the disk (1021), error while writing (3), write to a log failed (1026). */
    private const FULL = [3, 1021, 1026, 1114];

    /** @return iterable<\Throwable> a failure, and what lies behind it */
    public static function causes(\Throwable $failure): iterable
    {
        for ($cause = $failure; null !== $cause; $cause = $cause->getPrevious()) {
            yield $cause;
        }
    }

    public static function in(\Throwable $failure): ?self
    {
        foreach (self::causes($failure) as $cause) {
            if ($cause instanceof DriverException && \in_array($cause->getCode(), self::FULL, true) || $cause instanceof UnableToWriteFile || $cause instanceof UnableToCreateDirectory) {
                return self::Disk;
            }
            if ($cause instanceof ConnectionException || $cause instanceof RetryableException
                || $cause instanceof DriverException && \in_array($cause->getCode(), self::LOST, true)
                || $cause instanceof \PDOException && 1 === preg_match('/gone away|Lost connection|Error reading result set|Packets out of order/i', $cause->getMessage())) {
                return self::Database;
            }
        }

        return null;
    }
}
