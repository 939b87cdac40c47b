<?php

declare(strict_types=1);

namespace AwakeShed\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/**
 * What is asked of all a shed ever poured away, took off its shelf and took in is kept as it comes, by triggers of the
 * tables themselves, and no longer added up at every look.
 */
final class Version20261126180000 extends AbstractMigration
{
    /** A portion or a move counts as long as the step does that it came from. */
    private const STRUCK = '(SELECT entry.struck FROM entry WHERE entry.id = %1$s.entry_id)';
    private const POURED = 'INSERT INTO waste_total (shop_id, stream, part, millilitres) SELECT %1$s.shop_id, %1$s.stream, %1$s.id %% 8, %2$s%1$s.millilitres FROM DUAL WHERE %1$s.taken_back_at IS NULL AND COALESCE('.self::STRUCK.', 0) = 0 ON DUPLICATE KEY UPDATE millilitres = waste_total.millilitres + VALUES(millilitres)';
    private const MOVED = 'INSERT INTO oil_total (shop_id, oil_id, part, stands, taken) SELECT %1$s.shop_id, %1$s.oil_id, %1$s.id %% 8, %2$s%1$s.millilitres, IF(%1$s.entry_id IS NULL, 0, -(%2$s%1$s.millilitres)) FROM DUAL WHERE COALESCE('.self::STRUCK.', 0) = 0 ON DUPLICATE KEY UPDATE stands = oil_total.stands + VALUES(stands), taken = oil_total.taken + VALUES(taken)';
    private const TAKEN_IN = 'INSERT INTO intake_count (shop_id, week, kind, part, machines) SELECT %1$s.shop_id, DATE(%1$s.taken_in_at - INTERVAL WEEKDAY(%1$s.taken_in_at) DAY), %1$s.kind, %1$s.id %% 8, %2$s1 ON DUPLICATE KEY UPDATE machines = intake_count.machines + VALUES(machines)';

    /** Of a step that no longer counts, or counts again: all that hangs on it, in one go. */
    private const STRUCK_POURED = 'INSERT INTO waste_total (shop_id, stream, part, millilitres) SELECT shop_id, stream, id % 8 AS part, SUM(IF(NEW.struck, -millilitres, millilitres)) AS changed FROM waste_portion WHERE entry_id = NEW.id AND taken_back_at IS NULL GROUP BY shop_id, stream, id % 8 ON DUPLICATE KEY UPDATE millilitres = waste_total.millilitres + VALUES(millilitres)';
    private const STRUCK_MOVED = 'INSERT INTO oil_total (shop_id, oil_id, part, stands, taken) SELECT shop_id, oil_id, id % 8 AS part, SUM(IF(NEW.struck, -millilitres, millilitres)) AS changed, SUM(IF(NEW.struck, millilitres, -millilitres)) AS used FROM oil_move WHERE entry_id = NEW.id GROUP BY shop_id, oil_id, id % 8 ON DUPLICATE KEY UPDATE stands = oil_total.stands + VALUES(stands), taken = oil_total.taken + VALUES(taken)';

    public function getDescription(): string
    {
        return 'Totals of waste, oil and intake are kept';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE waste_total (shop_id INT NOT NULL, stream VARCHAR(30) NOT NULL, part SMALLINT NOT NULL, millilitres NUMERIC(18, 4) NOT NULL, PRIMARY KEY (shop_id, stream, part)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('CREATE TABLE oil_total (shop_id INT NOT NULL, oil_id INT NOT NULL, part SMALLINT NOT NULL, stands NUMERIC(18, 4) NOT NULL, taken NUMERIC(18, 4) NOT NULL, PRIMARY KEY (shop_id, oil_id, part)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('CREATE TABLE intake_count (shop_id INT NOT NULL, week DATE NOT NULL, kind VARCHAR(30) NOT NULL, part SMALLINT NOT NULL, machines INT NOT NULL, PRIMARY KEY (shop_id, week, kind, part)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        foreach (['waste' => ['waste_portion', self::POURED], 'oil' => ['oil_move', self::MOVED]] as $name => [$table, $count]) {
            $this->trigger("{$name}_came", "INSERT ON $table", \sprintf($count, 'NEW', ''));
            $this->trigger("{$name}_went", "DELETE ON $table", \sprintf($count, 'OLD', '-'));
            $this->trigger("{$name}_changed", "UPDATE ON $table", 'BEGIN '.\sprintf($count, 'OLD', '-').'; '.\sprintf($count, 'NEW', '').'; END');
        }
        $this->trigger('intake_came', 'INSERT ON job', \sprintf(self::TAKEN_IN, 'NEW', ''));
        $this->trigger('intake_went', 'DELETE ON job', \sprintf(self::TAKEN_IN, 'OLD', '-'));
        $this->trigger('intake_changed', 'UPDATE ON job', 'IF OLD.kind <> NEW.kind OR OLD.taken_in_at <> NEW.taken_in_at THEN '.\sprintf(self::TAKEN_IN, 'OLD', '-').'; '.\sprintf(self::TAKEN_IN, 'NEW', '').'; END IF');
        $this->trigger('entry_struck', 'UPDATE ON entry', 'IF OLD.struck <> NEW.struck THEN '.self::STRUCK_POURED.'; '.self::STRUCK_MOVED.'; END IF');
        $this->addSql('INSERT INTO waste_total SELECT poured.shop_id, poured.stream, poured.id % 8, SUM(poured.millilitres) FROM waste_portion poured LEFT JOIN entry ON entry.id = poured.entry_id WHERE poured.taken_back_at IS NULL AND COALESCE(entry.struck, 0) = 0 GROUP BY 1, 2, 3');
        $this->addSql('INSERT INTO oil_total SELECT move.shop_id, move.oil_id, move.id % 8, SUM(move.millilitres), SUM(IF(move.entry_id IS NULL, 0, -move.millilitres)) FROM oil_move move LEFT JOIN entry ON entry.id = move.entry_id WHERE COALESCE(entry.struck, 0) = 0 GROUP BY 1, 2, 3');
        $this->addSql('INSERT INTO intake_count SELECT shop_id, DATE(taken_in_at - INTERVAL WEEKDAY(taken_in_at) DAY), kind, id % 8, COUNT(*) FROM job GROUP BY 1, 2, 3, 4');
        $this->addSql('CREATE INDEX portion_in_can ON waste_portion (can_id, at)');
        $this->addSql('DROP INDEX IDX_4780AF0F0E9BE1C3B086F01 ON waste_portion');
        $this->addSql('DROP INDEX job_came ON job');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('CREATE INDEX job_came ON job (shop_id, taken_in_at, kind)');
        $this->addSql('CREATE INDEX IDX_4780AF0F0E9BE1C3B086F01 ON waste_portion (stream, taken_back_at)');
        $this->addSql('DROP INDEX portion_in_can ON waste_portion');
        foreach (['waste_came', 'waste_went', 'waste_changed', 'oil_came', 'oil_went', 'oil_changed', 'intake_came', 'intake_went', 'intake_changed', 'entry_struck'] as $trigger) {
            $this->addSql('DROP TRIGGER '.$trigger);
        }
        foreach (['waste_total', 'oil_total', 'intake_count'] as $table) {
            $this->addSql('DROP TABLE '.$table);
        }
    }

    private function trigger(string $name, string $after, string $does): void
    {
        $this->addSql("CREATE TRIGGER $name AFTER $after FOR EACH ROW $does");
    }
}
