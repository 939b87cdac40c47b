<?php

declare(strict_types=1);

namespace AwakeShed\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** The bench day: what is left of a job, who is there when, marks on pieces of work, plans as they were made. */
final class Version20261126093000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Work left, hours, absences, equipment, marks, plans, feeds';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE hours (id INT AUTO_INCREMENT NOT NULL, weekday SMALLINT NOT NULL, since SMALLINT NOT NULL, until SMALLINT NOT NULL, member_id INT NOT NULL, UNIQUE INDEX UNIQ_8A1ABD8D7597D3FE4B8ED78F (member_id, weekday), INDEX IDX_8A1ABD8D7597D3FE (member_id), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('CREATE TABLE plan_mark (id INT AUTO_INCREMENT NOT NULL, kind VARCHAR(30) NOT NULL, pinned_at DATETIME DEFAULT NULL, started_at DATETIME DEFAULT NULL, reckoned SMALLINT NOT NULL, longer SMALLINT NOT NULL, done_at DATETIME DEFAULT NULL, not_before DATETIME DEFAULT NULL, reason VARCHAR(200) NOT NULL, job_id INT NOT NULL, hands_id INT DEFAULT NULL, INDEX IDX_73A23E837DA34254 (done_at), INDEX IDX_73A23E83BE04EA9 (job_id), INDEX IDX_73A23E83F52B8FC1 (hands_id), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('CREATE TABLE equipment (id INT NOT NULL, lifts SMALLINT NOT NULL, bath_places SMALLINT NOT NULL, bath_minutes SMALLINT NOT NULL, pad_since SMALLINT NOT NULL, pad_until SMALLINT NOT NULL, runs_on_sundays TINYINT NOT NULL, latitude INT NOT NULL, first_snow DATE DEFAULT NULL, PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('CREATE TABLE absence (id INT AUTO_INCREMENT NOT NULL, first_day DATE NOT NULL, last_day DATE NOT NULL, part VARCHAR(20) NOT NULL, note VARCHAR(120) NOT NULL, member_id INT DEFAULT NULL, INDEX IDX_765AE0C9C7CCFBDA (last_day), INDEX IDX_765AE0C97597D3FE (member_id), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('CREATE TABLE plan_version (id INT AUTO_INCREMENT NOT NULL, begins_at DATETIME NOT NULL, problem JSON NOT NULL, plan JSON NOT NULL, odds JSON NOT NULL, savings JSON NOT NULL, changes JSON NOT NULL, made_at DATETIME NOT NULL, PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('CREATE TABLE plan_feed (hash VARCHAR(64) NOT NULL, member_id INT NOT NULL, UNIQUE INDEX UNIQ_36968859D1B862B8 (hash), PRIMARY KEY (member_id)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('CREATE TABLE plan_state (id INT NOT NULL, wanted INT NOT NULL, made INT NOT NULL, PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('ALTER TABLE hours ADD CONSTRAINT FK_8A1ABD8D7597D3FE FOREIGN KEY (member_id) REFERENCES member (id)');
        $this->addSql('ALTER TABLE plan_mark ADD CONSTRAINT FK_73A23E83BE04EA9 FOREIGN KEY (job_id) REFERENCES job (id) ON DELETE CASCADE');
        $this->addSql('ALTER TABLE plan_mark ADD CONSTRAINT FK_73A23E83F52B8FC1 FOREIGN KEY (hands_id) REFERENCES member (id)');
        $this->addSql('ALTER TABLE absence ADD CONSTRAINT FK_765AE0C97597D3FE FOREIGN KEY (member_id) REFERENCES member (id)');
        $this->addSql('ALTER TABLE plan_feed ADD CONSTRAINT FK_369688597597D3FE FOREIGN KEY (member_id) REFERENCES member (id)');
        $this->addSql('ALTER TABLE job ADD work_left JSON NOT NULL DEFAULT \'[]\'');
        $this->addSql('ALTER TABLE job ALTER work_left DROP DEFAULT');
        $this->addSql('ALTER TABLE job ADD planned JSON DEFAULT NULL');
        $this->addSql('ALTER TABLE wanted_part ADD expected_on DATE DEFAULT NULL');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE hours DROP FOREIGN KEY FK_8A1ABD8D7597D3FE');
        $this->addSql('ALTER TABLE plan_mark DROP FOREIGN KEY FK_73A23E83BE04EA9');
        $this->addSql('ALTER TABLE plan_mark DROP FOREIGN KEY FK_73A23E83F52B8FC1');
        $this->addSql('ALTER TABLE absence DROP FOREIGN KEY FK_765AE0C97597D3FE');
        $this->addSql('ALTER TABLE plan_feed DROP FOREIGN KEY FK_369688597597D3FE');
        $this->addSql('DROP TABLE hours');
        $this->addSql('DROP TABLE plan_mark');
        $this->addSql('DROP TABLE equipment');
        $this->addSql('DROP TABLE absence');
        $this->addSql('DROP TABLE plan_version');
        $this->addSql('DROP TABLE plan_feed');
        $this->addSql('DROP TABLE plan_state');
        $this->addSql('ALTER TABLE job DROP work_left, DROP planned');
        $this->addSql('ALTER TABLE wanted_part DROP expected_on');
    }
}
