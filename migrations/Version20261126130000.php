<?php

declare(strict_types=1);

namespace AwakeShed\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** The shed's list: an index for each question in each order, and counts that are kept. */
final class Version20261126130000 extends AbstractMigration
{
    /** Of a row of the table of jobs, in the order in which every change takes the locks. */
    private const COUNT = 'INSERT INTO job_count (gone, kind, stand, part, machines) SELECT * FROM (%s) changed ORDER BY gone, kind, stand ON DUPLICATE KEY UPDATE machines = job_count.machines + VALUES(machines)';
    private const CAME = 'SELECT NEW.gone AS gone, NEW.kind AS kind, NEW.stand AS stand, NEW.id % 8 AS part, 1 AS machines';
    private const WENT = 'SELECT OLD.gone AS gone, OLD.kind AS kind, OLD.stand AS stand, OLD.id % 8 AS part, -1 AS machines';

    public function getDescription(): string
    {
        return 'Indexes of the shed, kept counts';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE job ADD gone TINYINT NOT NULL DEFAULT 0');
        $this->addSql('UPDATE job SET gone = handed_back_at IS NOT NULL');
        $this->addSql('ALTER TABLE job ALTER gone DROP DEFAULT');
        $this->addSql('DROP INDEX IDX_FBD8E0F8872935BB64B918B6DF0FA28A ON job');
        $this->addSql('DROP INDEX IDX_FBD8E0F8872935BBDF0FA28A ON job');
        $this->addSql('DROP INDEX IDX_FBD8E0F8872935BB7880D0AD ON job');
        $this->addSql('DROP INDEX IDX_FBD8E0F8872935BB6091B2AE64B918B6DF0FA28A ON job');
        $this->addSql('DROP INDEX IDX_FBD8E0F8872935BB3BC4BCD964B918B6DF0FA28A ON job');
        $this->addSql('CREATE INDEX shed_due ON job (gone, due)');
        $this->addSql('CREATE INDEX shed_new ON job (gone, taken_in_at)');
        $this->addSql('CREATE INDEX shed_name ON job (gone, search_text)');
        $this->addSql('CREATE INDEX shed_kind_due ON job (gone, kind, due)');
        $this->addSql('CREATE INDEX shed_kind_new ON job (gone, kind, taken_in_at)');
        $this->addSql('CREATE INDEX shed_kind_name ON job (gone, kind, search_text)');
        $this->addSql('CREATE INDEX shed_stand_due ON job (gone, stand, due)');
        $this->addSql('CREATE INDEX shed_stand_new ON job (gone, stand, taken_in_at)');
        $this->addSql('CREATE INDEX shed_stand_name ON job (gone, stand, search_text)');
        $this->addSql('CREATE INDEX shed_kind_stand_due ON job (gone, kind, stand, due)');
        $this->addSql('CREATE INDEX shed_kind_stand_new ON job (gone, kind, stand, taken_in_at)');
        $this->addSql('CREATE INDEX shed_kind_stand_name ON job (gone, kind, stand, search_text)');
        $this->addSql('CREATE INDEX IDX_FBD8E0F8872935BB ON job (handed_back_at)');
        $this->addSql('CREATE TABLE job_count (gone TINYINT NOT NULL, kind VARCHAR(30) NOT NULL, stand VARCHAR(20) NOT NULL, part SMALLINT NOT NULL, machines INT NOT NULL, PRIMARY KEY (gone, kind, stand, part)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('INSERT INTO job_count (gone, kind, stand, part, machines) SELECT gone, kind, stand, id % 8, COUNT(*) FROM job GROUP BY 1, 2, 3, 4');
        $this->addSql('CREATE TRIGGER job_came AFTER INSERT ON job FOR EACH ROW '.\sprintf(self::COUNT, self::CAME));
        $this->addSql('CREATE TRIGGER job_went AFTER DELETE ON job FOR EACH ROW '.\sprintf(self::COUNT, self::WENT));
        $this->addSql('CREATE TRIGGER job_moved AFTER UPDATE ON job FOR EACH ROW IF OLD.gone <> NEW.gone OR OLD.kind <> NEW.kind OR OLD.stand <> NEW.stand THEN '.\sprintf(self::COUNT, self::WENT.' UNION ALL '.self::CAME).'; END IF');
    }

    public function down(Schema $schema): void
    {
        foreach (['job_came', 'job_went', 'job_moved'] as $trigger) {
            $this->addSql('DROP TRIGGER '.$trigger);
        }
        $this->addSql('DROP TABLE job_count');
        $this->addSql('DROP INDEX shed_due ON job');
        $this->addSql('DROP INDEX shed_new ON job');
        $this->addSql('DROP INDEX shed_name ON job');
        $this->addSql('DROP INDEX shed_kind_due ON job');
        $this->addSql('DROP INDEX shed_kind_new ON job');
        $this->addSql('DROP INDEX shed_kind_name ON job');
        $this->addSql('DROP INDEX shed_stand_due ON job');
        $this->addSql('DROP INDEX shed_stand_new ON job');
        $this->addSql('DROP INDEX shed_stand_name ON job');
        $this->addSql('DROP INDEX shed_kind_stand_due ON job');
        $this->addSql('DROP INDEX shed_kind_stand_new ON job');
        $this->addSql('DROP INDEX shed_kind_stand_name ON job');
        $this->addSql('DROP INDEX IDX_FBD8E0F8872935BB ON job');
        $this->addSql('CREATE INDEX IDX_FBD8E0F8872935BB64B918B6DF0FA28A ON job (handed_back_at, stand, due)');
        $this->addSql('CREATE INDEX IDX_FBD8E0F8872935BBDF0FA28A ON job (handed_back_at, due)');
        $this->addSql('CREATE INDEX IDX_FBD8E0F8872935BB7880D0AD ON job (handed_back_at, taken_in_at)');
        $this->addSql('CREATE INDEX IDX_FBD8E0F8872935BB6091B2AE64B918B6DF0FA28A ON job (handed_back_at, search_text, stand, due)');
        $this->addSql('CREATE INDEX IDX_FBD8E0F8872935BB3BC4BCD964B918B6DF0FA28A ON job (handed_back_at, kind, stand, due)');
        $this->addSql('ALTER TABLE job DROP gone');
    }
}
