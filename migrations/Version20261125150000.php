<?php

declare(strict_types=1);

namespace AwakeShed\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\DBAL\Types\Types;
use Doctrine\Migrations\AbstractMigration;

/** What an entry says becomes one kind of content instead of five columns and a table beside it. */
final class Version20261125150000 extends AbstractMigration
{
    private const BATCH = 500;

    public function getDescription(): string
    {
        return 'One kind of content for each entry of a record';
    }

    public function up(Schema $schema): void
    {
        $this->connection->executeStatement("ALTER TABLE entry ADD content_kind VARCHAR(20) DEFAULT 'nothing' NOT NULL, ADD content JSON DEFAULT '[]' NOT NULL");
        $this->each(static function (array $row, array $findings): array {
            $events = array_map(self::event(...), $findings);
            [$kind, $content] = match (true) {
                'withdrawal' === $row['kind'] => ['nothing', []],
                null !== $row['jar'] => ['jar', ['sample' => $row['sample'], 'jar' => self::unpack($row['jar']), 'as_typed' => self::unpack($row['as_typed']), 'events' => $events]],
                null !== $row['rewritten'] => ['rewritten', self::unpack($row['rewritten'])],
                null !== $row['done'] => ['step', self::unpack($row['done'])],
                null !== $row['strip'] => ['move', ['move' => self::unpack($row['strip']), 'events' => $events]],
                default => ['observed', ['events' => $events] + (null === $row['worked'] ? [] : ['worked' => self::unpack($row['worked'])])],
            };

            return ['content_kind' => $kind, 'content' => $content];
        }, true);
        $this->addSql('DROP TABLE recorded_finding');
        $this->addSql('ALTER TABLE entry DROP sample, DROP jar, DROP rewritten, DROP worked, DROP done, DROP strip, DROP as_typed, ALTER content_kind DROP DEFAULT, ALTER content DROP DEFAULT');
        $this->addSql('CREATE INDEX IDX_2B219D70F6A6511C ON entry (content_kind)');
    }

    public function down(Schema $schema): void
    {
        $this->connection->executeStatement("ALTER TABLE entry ADD sample VARCHAR(10) DEFAULT NULL, ADD jar JSON DEFAULT NULL, ADD rewritten JSON DEFAULT NULL, ADD worked JSON DEFAULT NULL, ADD done JSON DEFAULT NULL, ADD strip JSON DEFAULT NULL, ADD as_typed JSON DEFAULT '[]' NOT NULL");
        $this->connection->executeStatement('CREATE TABLE recorded_finding (id INT AUTO_INCREMENT NOT NULL, test VARCHAR(80) DEFAULT NULL, outcomes JSON NOT NULL, number DOUBLE PRECISION DEFAULT NULL, put_right VARCHAR(80) DEFAULT NULL, measured JSON NOT NULL, extras JSON NOT NULL, entry_id INT NOT NULL, INDEX IDX_B4B54BB1BA364942 (entry_id), INDEX IDX_B4B54BB1D87F7E0C (test), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4');
        $this->each(function (array $row): array {
            $content = self::unpack($row['content']);
            $events = \is_array($content['events'] ?? null) ? $content['events'] : [];
            /** @var array<string, mixed> $event */
            foreach ($events as $event) {
                $this->connection->insert('recorded_finding', ['entry_id' => $row['id']] + self::finding($event), ['outcomes' => Types::JSON, 'measured' => Types::JSON, 'extras' => Types::JSON]);
            }

            return match ($row['content_kind']) {
                'jar' => ['sample' => $content['sample'], 'jar' => $content['jar'], 'as_typed' => $content['as_typed']],
                'rewritten' => ['rewritten' => $content],
                'step' => ['done' => $content],
                'move' => ['strip' => $content['move']],
                'observed' => isset($content['worked']) ? ['worked' => $content['worked']] : [],
                default => [],
            };
        }, false);
        $this->addSql('ALTER TABLE recorded_finding ADD CONSTRAINT FK_B4B54BB1BA364942 FOREIGN KEY (entry_id) REFERENCES entry (id)');
        $this->addSql('DROP INDEX IDX_2B219D70F6A6511C ON entry');
        $this->addSql('ALTER TABLE entry DROP content_kind, DROP content, ALTER as_typed DROP DEFAULT');
    }

    /** @param \Closure(array<string, mixed>, list<array<string, mixed>>): array<string, mixed> $columns what each row becomes */
    private function each(\Closure $columns, bool $withFindings): void
    {
        $last = 0;
        while (true) {
            /** @var list<array<string, mixed>&array{id: int}> $rows */
            $rows = $this->connection->fetchAllAssociative('SELECT * FROM entry WHERE id > ? ORDER BY id LIMIT '.self::BATCH, [$last]);
            if ([] === $rows) {
                return;
            }
            $ids = array_column($rows, 'id');
            $findings = [];
            /** @var list<array<string, mixed>&array{entry_id: int}> $said */
            $said = $withFindings ? $this->connection->fetchAllAssociative('SELECT * FROM recorded_finding WHERE entry_id >= ? AND entry_id <= ? ORDER BY id', [$ids[0], $ids[\count($ids) - 1]]) : [];
            foreach ($said as $finding) {
                $findings[$finding['entry_id']][] = $finding;
            }
            foreach ($rows as $row) {
                $new = $columns($row, $findings[$row['id']] ?? []);
                $types = array_map(static fn (mixed $value): string => \is_array($value) ? Types::JSON : Types::STRING, $new);
                if ([] !== $new) {
                    $this->connection->update('entry', $new, ['id' => $row['id']], $types);
                }
                $last = $row['id'];
            }
        }
    }

    /**
     * @param array<string, mixed> $finding
     *
     * @return array<string, mixed> as the open case format writes it
     */
    private static function event(array $finding): array
    {
        /** @var array<string, mixed> $extras */
        $extras = self::unpack($finding['extras']);
        if (null !== $finding['put_right']) {
            return ['put_right' => $finding['put_right']] + $extras;
        }
        $outcomes = self::unpack($finding['outcomes']);
        $measured = self::unpack($finding['measured']);

        return ['test' => $finding['test'], 'outcome' => [] === $outcomes ? $finding['number'] : (1 === \count($outcomes) ? $outcomes[0] : $outcomes)] + ([] === $measured ? [] : ['measured' => $measured]) + $extras;
    }

    /**
     * @param array<string, mixed> $event
     *
     * @return array<string, mixed>
     */
    private static function finding(array $event): array
    {
        $outcome = $event['outcome'] ?? [];
        $isNumber = \is_int($outcome) || \is_float($outcome);

        return [
            'test' => $event['test'] ?? null,
            'outcomes' => $isNumber ? [] : array_values((array) $outcome),
            'number' => $isNumber ? $outcome : null,
            'put_right' => $event['put_right'] ?? null,
            'measured' => $event['measured'] ?? [],
            'extras' => array_diff_key($event, array_flip(['test', 'outcome', 'measured', 'put_right'])),
        ];
    }

    /** @return array<mixed> */
    private static function unpack(mixed $packed): array
    {
        $unpacked = \is_string($packed) ? json_decode($packed, true, flags: \JSON_THROW_ON_ERROR) : [];

        return \is_array($unpacked) ? $unpacked : [];
    }
}
