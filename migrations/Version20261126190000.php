<?php

declare(strict_types=1);

namespace AwakeShed\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** The words by which a job is found, with its number as one of them; kept by triggers of the table of jobs. What waits is asked for by shop. */
final class Version20261126190000 extends AbstractMigration
{
    private const WORDS = <<<'SQL'
        INSERT INTO job_word (job_id, word, shop_id, gone)
        SELECT DISTINCT %1$s.id, LEFT(found.word COLLATE utf8mb4_bin, 40), %1$s.shop_id, %1$s.gone
        FROM %2$sJSON_TABLE(CONCAT('["#', %1$s.id, '","', REPLACE(TRIM(REGEXP_REPLACE(%1$s.search_text, '[^\\p{L}\\p{N}]+', ' ')), ' ', '","'), '"]'), '$[*]' COLUMNS (word VARCHAR(250) PATH '$')) AS found
        WHERE found.word <> ''
        SQL;

    public function getDescription(): string
    {
        return 'Words of jobs, waits by shop';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE job_word (job_id INT NOT NULL, word VARCHAR(40) NOT NULL COLLATE `utf8mb4_bin`, gone TINYINT(1) NOT NULL, shop_id INT NOT NULL, INDEX word_of_job (shop_id, gone, word, job_id), PRIMARY KEY (job_id, word)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('ALTER TABLE wait DROP INDEX IDX_7DEE83E51C3D1565A79A4EEC, ADD INDEX wait_of_shop (shop_id, ended_at, ready_at)');
        $this->addSql(\sprintf(self::WORDS, 'job', 'job, '));
        $new = \sprintf(self::WORDS, 'NEW', '');
        $this->addSql("CREATE TRIGGER words_came AFTER INSERT ON job FOR EACH ROW $new");
        $this->addSql('CREATE TRIGGER words_went AFTER DELETE ON job FOR EACH ROW DELETE FROM job_word WHERE job_id = OLD.id');
        $this->addSql("CREATE TRIGGER words_changed AFTER UPDATE ON job FOR EACH ROW IF OLD.search_text <> NEW.search_text THEN DELETE FROM job_word WHERE job_id = NEW.id; $new; ELSEIF OLD.gone <> NEW.gone THEN UPDATE job_word SET gone = NEW.gone WHERE job_id = NEW.id; END IF");
    }

    public function down(Schema $schema): void
    {
        foreach (['words_came', 'words_went', 'words_changed'] as $trigger) {
            $this->addSql('DROP TRIGGER '.$trigger);
        }
        $this->addSql('DROP TABLE job_word');
        $this->addSql('ALTER TABLE wait DROP INDEX wait_of_shop, ADD INDEX IDX_7DEE83E51C3D1565A79A4EEC (ended_at, ready_at)');
    }
}
