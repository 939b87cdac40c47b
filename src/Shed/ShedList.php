<?php

declare(strict_types=1);

namespace AwakeShed\App\Shed;

use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Progress\Progress;
use Doctrine\DBAL\Connection;
use Symfony\Contracts\Service\ResetInterface;

/**
 * The machines in the shed, as they are asked for. Each question has an index of its own in the order it is answered in,
 * and is held to it, so that a page costs what its rows cost, of fourteen machines as of four hundred thousand.
 *
 * @phpstan-type Row array{id: int, kind: string, label: string, owner_name: string, wanted_by: string|null, taken_in_at: string, stand: string, waits_for: string, handed_back_at: string|null, with_whom: string|null}
 */
final class ShedList implements ResetInterface
{
    private const MANY = 1000;

    /** @var array<string, Search> by what is typed and where it is looked for: the list and its counts ask the same */
    private array $searches = [];

    /** @param int $many of more machines than so many that answer to a word it is no use to begin from it; so many are gone through at once */
    public function __construct(private readonly Connection $database, private readonly int $many = self::MANY)
    {
    }

    public function reset(): void
    {
        $this->searches = [];
    }

    public function page(ShedQuery $query): ShedPage
    {
        $search = '' === $query->find ? null : $this->search($query->find, $query->handedBack);
        $edge = null !== $search && null === $search->among ? $this->edge($query) : null;
        [$sql, $values] = $this->statement($query, $search, $edge);
        /** @var list<Row> $found */
        $found = $this->database->fetchAllAssociative($sql, $values);
        $isMore = \count($found) > ShedQuery::PAGE;
        $found = \array_slice($found, 0, ShedQuery::PAGE);
        $isBackwards = null !== $query->before;
        $further = $isMore ? $found[ShedQuery::PAGE - 1]['id'] : ($edge['id'] ?? null);
        $from = $query->after ?? $query->before;
        // Where nothing was found it goes back from where it stopped.
        $back = null === $from ? null : $found[0]['id'] ?? $edge['id'] ?? $from;
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

        return new ShedPage($rows, $isBackwards ? $further : $back, $isBackwards ? $back : $further, !$isMore && null !== $edge);
    }

    /** How many machines match, by where they stand; the filter by stand itself is left out. */
    public function counts(ShedQuery $query): ShedCounts
    {
        $byStand = array_fill_keys(array_map(static fn (Progress $stand): string => $stand->value, Progress::cases()), 0);
        if ('' === $query->find) {
            // Kept as machines come, change and go (the database's own triggers).
            [$kind, $kinds] = null === $query->kind ? ['', []] : [' AND kind = ?', [$query->kind->value]];
            $gone = 0;
            foreach ($this->database->fetchAllNumeric("SELECT gone, stand, SUM(machines) FROM job_count WHERE shop_id = @shop$kind GROUP BY gone, stand", $kinds) as [$isGone, $stand, $machines]) {
                \assert(\is_string($stand) && is_numeric($machines));
                if (1 === $isGone) {
                    $gone += (int) $machines;
                } else {
                    $byStand[$stand] = (int) $machines;
                }
            }

            return new ShedCounts($byStand, $gone);
        }
        [$here, $away] = [$this->counted($query, false), $this->counted($query, true)];

        return new ShedCounts(null === $here ? null : $here + $byStand, null === $away ? null : array_sum($away));
    }

    /**
     * One page and a row more, which tells whether there is another.
     *
     * @param array{id: int, at: string}|null $edge the last machine that is gone through
     *
     * @return array{string, list<int|string>} the statement with its values
     */
    public function statement(ShedQuery $query, ?Search $search = null, ?array $edge = null): array
    {
        [$column, $isDownwards, $index, $where, $values] = $this->scope($query);
        if (null !== $search) {
            $where[] = $search->where;
            $values = [...$search->amongWith, ...$values, ...$search->whereWith];
        }
        if (null !== $edge) {
            $where[] = self::isPast($column, !$isDownwards, orAt: true);
            $values = [...$values, $edge['at'], $edge['at'], $edge['id']];
        }
        $direction = $isDownwards ? 'DESC' : 'ASC';

        return [
            'SELECT STRAIGHT_JOIN j.id, machine.kind, machine.label, machine.owner_name, j.wanted_by, j.taken_in_at, j.stand, j.waits_for, j.handed_back_at, person.name AS with_whom
             FROM '.(null === $search?->among ? "job j FORCE INDEX ($index)" : "$search->among JOIN job j ON j.id = found.job_id").' JOIN machine ON machine.id = j.machine_id LEFT JOIN member person ON person.id = j.with_whom_id
             WHERE '.implode(' AND ', $where)." ORDER BY j.$column $direction, j.id $direction LIMIT ".(ShedQuery::PAGE + 1),
            $values,
        ];
    }

    /** @return array{id: int, at: string}|null the last of so many machines in their order; null where there are not so many */
    private function edge(ShedQuery $query): ?array
    {
        [$column, $isDownwards, $index, $where, $values] = $this->scope($query);
        $direction = $isDownwards ? 'DESC' : 'ASC';
        /** @var array{id: int, at: string}|false $edge */
        $edge = $this->database->fetchAssociative("SELECT j.id, j.$column AS at FROM job j FORCE INDEX ($index) WHERE ".implode(' AND ', $where)." ORDER BY j.$column $direction, j.id $direction LIMIT 1 OFFSET ".($this->many - 1), $values);

        return false === $edge ? null : $edge;
    }

    /**
     * What is looked at, without what is typed, and in which order: from where the page begins on.
     *
     * @return array{string, bool, string, list<string>, list<int|string>} the column it is in the order of, whether downwards, the index, conditions and their values
     */
    private function scope(ShedQuery $query): array
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
        $from = $query->after ?? $query->before;
        $at = null === $from ? false : $this->database->fetchOne("SELECT $column FROM job WHERE id = ? AND shop_id = @shop", [$from]);
        $downwards = $descending !== (null !== $query->before);
        if (null !== $from && \is_string($at)) {
            $where[] = self::isPast($column, $downwards, orAt: false);
            $values = [...$values, $at, $at, $from];
        }

        return [$column, $downwards, implode('_', ['shed', ...(null === $query->kind ? [] : ['kind']), ...(null === $stand ? [] : ['stand']), $order]), $where, $values];
    }

    /** The first half bounds the index; the two together are the place of a row among those of the same day. */
    private static function isPast(string $column, bool $downwards, bool $orAt): string
    {
        $past = $downwards ? '<' : '>';

        return "j.$column $past= ? AND (j.$column $past ? OR j.id $past".($orAt ? '=' : '').' ?)';
    }

    /** @return array<string, int>|null by stand, those that answer to what is typed; null where they are many */
    private function counted(ShedQuery $query, bool $isGone): ?array
    {
        $search = $this->search($query->find, $isGone);
        if (null === $search->among) {
            return null;
        }
        [$kind, $kinds] = null === $query->kind ? ['', []] : [' AND j.kind = ?', [$query->kind->value]];
        $counts = [];
        foreach ($this->database->fetchAllNumeric("SELECT j.stand, COUNT(*) FROM $search->among JOIN job j ON j.id = found.job_id WHERE $search->where$kind GROUP BY j.stand", [...$search->amongWith, ...$search->whereWith, ...$kinds]) as [$stand, $machines]) {
            \assert(\is_string($stand) && is_numeric($machines));
            $counts[$stand] = (int) $machines;
        }

        return $counts;
    }

    /**
     * Of what is typed a rare word says among which machines to look; where each is common, the list is gone through in
     * its order, and is soon full; or so many are gone through, and the rest when somebody asks for it.
     */
    private function search(string $find, bool $isGone): Search
    {
        return $this->searches[(int) $isGone.$find] ??= $this->searchFor($find, $isGone);
    }

    private function searchFor(string $find, bool $isGone): Search
    {
        $words = TypedWords::in($find)->words;
        if ([] === $words) {
            return new Search('(SELECT NULL AS job_id FROM DUAL WHERE FALSE) found', [], '1 = 1', []);
        }
        $these = 'shop_id = @shop AND gone = '.(int) $isGone;
        // Of those that are rare the longest is likely the rarest.
        usort($words, static fn (string $one, string $other): int => mb_strlen($other) <=> mb_strlen($one));
        $rare = null;
        foreach ($words as $word) {
            [$begins, $with] = TypedWords::begins($word);
            if (false === $this->database->fetchOne("SELECT 1 FROM job_word WHERE $these AND $begins LIMIT 1 OFFSET $this->many", $with)) {
                $rare = $word;
                break;
            }
        }
        $where = ['1 = 1'];
        $whereWith = [];
        foreach (array_diff($words, [$rare]) as $word) {
            [$begins, $with] = TypedWords::begins($word);
            // Asked of each row that is gone past; "EXISTS" would be turned into a table of all that answer.
            $where[] = "(SELECT 1 FROM job_word WHERE job_word.job_id = j.id AND $begins LIMIT 1) IS NOT NULL";
            $whereWith = [...$whereWith, ...$with];
        }
        [$begins, $with] = null === $rare ? ['', []] : TypedWords::begins($rare);

        return new Search(null === $rare ? null : "(SELECT DISTINCT job_id FROM job_word WHERE $these AND $begins) found", $with, implode(' AND ', $where), $whereWith);
    }
}
