<?php

declare(strict_types=1);

namespace AwakeShed\App\Shop;

use AwakeShed\App\Photo\PhotoSize;
use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use League\Flysystem\FilesystemException;
use League\Flysystem\FilesystemOperator;

/** The jobs the demo brought, each marked as such, and what was recorded of them. */
final readonly class DemoMachines
{
    /** What hangs on an entry, and then what hangs on a job, in the order in which it can go. */
    private const BY_ENTRY = ['oil_move'];
    private const BY_JOB = ['waste_portion', 'wait', 'wanted_part', 'trace', 'photo', 'charge', 'estimate', 'sent_sheet', 'entry'];

    public function __construct(private Connection $database, private FilesystemOperator $photos)
    {
    }

    public function count(): int
    {
        $count = $this->database->fetchOne('SELECT COUNT(*) FROM job WHERE shop_id = @shop AND is_demo = 1');

        return is_numeric($count) ? (int) $count : 0;
    }

    /** @return int how many there were */
    public function throwAway(): int
    {
        $jobs = $this->database->fetchFirstColumn('SELECT id FROM job WHERE shop_id = @shop AND is_demo = 1');
        if ([] === $jobs) {
            return 0;
        }
        $machines = $this->database->fetchFirstColumn('SELECT machine_id FROM job WHERE shop_id = @shop AND is_demo = 1');
        $files = $this->database->fetchFirstColumn('SELECT file FROM photo WHERE job_id IN (?)', [$jobs], [ArrayParameterType::INTEGER]);
        $run = fn (string $statement, array $ids): int|string => $this->database->executeStatement($statement, [$ids], [ArrayParameterType::INTEGER]);
        foreach (self::BY_ENTRY as $table) {
            $run("DELETE FROM $table WHERE entry_id IN (SELECT id FROM entry WHERE job_id IN (?))", $jobs);
        }
        $run('UPDATE entry SET target_id = NULL WHERE job_id IN (?)', $jobs);
        foreach (self::BY_JOB as $table) {
            $run("DELETE FROM $table WHERE job_id IN (?)", $jobs);
        }
        $run('UPDATE shelf_move SET job_id = NULL WHERE job_id IN (?)', $jobs);
        $run('UPDATE job SET soon_after_id = NULL WHERE soon_after_id IN (?)', $jobs);
        $run('DELETE FROM job WHERE id IN (?)', $jobs);
        // One that was taken in again by somebody here is theirs.
        $kept = $this->database->fetchFirstColumn('SELECT machine_id FROM job WHERE shop_id = @shop');
        $gone = array_values(array_filter($machines, static fn (mixed $machine): bool => !\in_array($machine, $kept, true)));
        foreach (['DELETE FROM life_note WHERE machine_id IN (?)', 'DELETE FROM machine WHERE id IN (?)'] as $statement) {
            $run($statement, $gone);
        }
        foreach ($files as $file) {
            foreach (PhotoSize::cases() as $size) {
                try {
                    $this->photos->delete($size->value.'/'.(\is_string($file) ? $file : ''));
                } catch (FilesystemException) {
                    // A file that stays is found by shed:mend-photos.
                }
            }
        }

        return \count($jobs);
    }
}
