<?php

declare(strict_types=1);

namespace AwakeShed\Tests;

use Doctrine\DBAL\Connection;

/** A table filled with copies of one of its rows: many machines in a second. */
final readonly class Copies
{
    public function __construct(private Connection $database)
    {
    }

    /**
     * Copies of a row, with what is to be otherwise: the columns are the table's own, so that one that comes later needs
     * nothing here.
     *
     * @param string                $row       the one that is copied, as a condition on the table `t`
     * @param string                $times     what it is crossed with: "seq_1_to_400 n"
     * @param array<string, string> $otherwise column => expression
     */
    public function of(string $table, string $row, string $times, array $otherwise): void
    {
        /** @var list<string> $columns those that are not worked out from others */
        $columns = $this->database->fetchFirstColumn("SELECT column_name FROM information_schema.columns WHERE table_schema = DATABASE() AND table_name = ? AND is_generated = 'NEVER'", [$table]);
        $values = array_map(static fn (string $column): string => $otherwise[$column] ?? 't.`'.$column.'`', $columns);
        $this->database->executeStatement(\sprintf('INSERT INTO `%s` (`%s`) SELECT %s FROM `%s` t, %s WHERE t.%s', $table, implode('`, `', $columns), implode(', ', $values), $table, $times, $row));
    }
}
