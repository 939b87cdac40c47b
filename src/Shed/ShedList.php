<?php

declare(strict_types=1);

namespace AwakeShed\App\Shed;

use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Progress\Progress;
use Doctrine\DBAL\Connection;

/**
 * The machines in the shed, as they are asked for. Each question has an index of its own in the order it is answered in,
 * and is held to it, so that a page costs what its rows cost, of fourteen machines as of four hundred thousand.
 *
 * @phpstan-type Row array{id: int, kind: string, label: string, owner_name: string, wanted_by: string|null, taken_in_at: string, stand: string, waits_for: string, handed_back_at: string|null, with_whom: string|null}
 */
final readonly class ShedList
{
    public function __construct(private Connection $database)
    {
    }

    public function page(ShedQuery $query): ShedPage
    {
        [$sql, $values] = $this->statement($query);
        /** @var list<Row> $found */
        $found = $this->database->fetchAllAssociative($sql, $values);
        $isMore = \count($found) > ShedQuery::PAGE;
        $found = \array_slice($found, 0, ShedQuery::PAGE);
        $isBackwards = null !== $query->before;
        $rows = array_map(static fn (array $row): ShedRow => new ShedRow(
            $row['id'],
            MachineKind::from($row['kind']),
            $row['label'],
            $row['owner_name'],
            null === $row['wanted_by'] ? null : new \DateTimeImmutable($row['wanted_by']),
            new \DateTimeImmutable($row['taken_in_at']),
            Progress::from($row['stand']),
            $row['waits_for'],
            null === $row['handed_back_at'] ? null : new \DateTimeImmutable($row['handed_back_at']),
            $row['with_whom'],
        ), $isBackwards ? array_reverse($found) : $found);

        return new ShedPage($rows, $isBackwards ? $isMore : null !== $query->after, $isBackwards || $isMore);
    }

    /** How many machines match, by where they stand; the filter by stand itself is left out. */
    public function counts(ShedQuery $query): ShedCounts
    {
        // Kept as machines come, change and go (the database's own triggers); only what is typed has to be counted.
        [$where, $values] = '' === $query->find ? ['', []] : self::typed($query->find);
        $kind = null === $query->kind ? '' : 'kind = ?';
        $all = implode(' AND ', array_diff(['shop_id = @shop', $where, $kind], ['']));
        $sql = '' === $query->find
            ? 'SELECT gone, stand, SUM(machines) AS machines FROM job_count WHERE '.$all.' GROUP BY gone, stand'
            : 'SELECT gone, stand, COUNT(*) AS machines FROM job j WHERE '.$all.' GROUP BY gone, stand';
        $byStand = array_fill_keys(array_map(static fn (Progress $stand): string => $stand->value, Progress::cases()), 0);
        $gone = 0;
        foreach ($this->database->fetchAllNumeric($sql, [...$values, ...(null === $query->kind ? [] : [$query->kind->value])]) as [$isGone, $stand, $machines]) {
            \assert(\is_string($stand) && is_numeric($machines));
            if (1 === $isGone) {
                $gone += (int) $machines;
            } else {
                $byStand[$stand] = (int) $machines;
            }
        }

        return new ShedCounts($byStand, $gone);
    }

    /**
     * One page and a row more, which tells whether there is another.
     *
     * @return array{string, list<int|string>} the statement with its values
     */
    public function statement(ShedQuery $query): array
    {
        [$column, $descending, $order] = match ($query->sort) {
            ShedSort::Wanted => ['due', false, 'due'],
            ShedSort::Newest => ['taken_in_at', true, 'new'],
            ShedSort::Machine => ['search_text', false, 'name'],
        };
        // Where a machine stood when it went home is nobody's question.
        $stand = $query->handedBack ? null : $query->stand;
        $where = ['j.shop_id = @shop', 'j.gone = ?'];
        $values = [$query->handedBack ? 1 : 0];
        foreach (['kind' => $query->kind?->value, 'stand' => $stand?->value] as $name => $value) {
            if (null !== $value) {
                $where[] = "j.$name = ?";
                $values[] = $value;
            }
        }
        if ('' !== $query->find) {
            [$where[], $typed] = self::typed($query->find);
            $values = [...$values, ...$typed];
        }
        $from = $query->after ?? $query->before;
        $at = null === $from ? false : $this->database->fetchOne("SELECT $column FROM job WHERE id = ? AND shop_id = @shop", [$from]);
        $downwards = $descending !== (null !== $query->before);
        if (null !== $from && \is_string($at)) {
            // The first half bounds the index; the two together are the place of a row among those of the same day.
            [$past, $orAt] = $downwards ? ['<', '<='] : ['>', '>='];
            $where[] = "j.$column $orAt ? AND (j.$column $past ? OR j.id $past ?)";
            $values = [...$values, $at, $at, $from];
        }
        $direction = $downwards ? 'DESC' : 'ASC';
        $index = implode('_', ['shed', ...(null === $query->kind ? [] : ['kind']), ...(null === $stand ? [] : ['stand']), $order]);

        return [
            "SELECT STRAIGHT_JOIN j.id, machine.kind, machine.label, machine.owner_name, j.wanted_by, j.taken_in_at, j.stand, j.waits_for, j.handed_back_at, person.name AS with_whom
             FROM job j FORCE INDEX ($index) JOIN machine ON machine.id = j.machine_id LEFT JOIN member person ON person.id = j.with_whom_id
             WHERE ".implode(' AND ', $where)." ORDER BY j.$column $direction, j.id $direction LIMIT ".(ShedQuery::PAGE + 1),
            $values,
        ];
    }

    /** @return array{string, list<int|string>} the condition, with its values */
    private static function typed(string $find): array
    {
        $text = '%'.addcslashes(mb_strtolower($find), '%_\\').'%';
        $number = ltrim($find, '#');

        return ctype_digit($number) ? ['(j.search_text LIKE ? OR j.id = ?)', [$text, (int) $number]] : ['j.search_text LIKE ?', [$text]];
    }
}
