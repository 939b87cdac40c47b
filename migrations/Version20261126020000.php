<?php

declare(strict_types=1);

namespace AwakeShed\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** Photos have captions, a job is in somebody's hands, and a timer may be heard. */
final class Version20261126020000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Captions of photos, who has a machine, the sound of a timer';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE photo ADD caption VARCHAR(200) NOT NULL DEFAULT ''");
        $this->addSql('ALTER TABLE photo ALTER caption DROP DEFAULT');
        $this->addSql('ALTER TABLE job ADD with_whom_id INT DEFAULT NULL');
        $this->addSql('ALTER TABLE job ADD CONSTRAINT FK_FBD8E0F812C7516F FOREIGN KEY (with_whom_id) REFERENCES member (id)');
        $this->addSql('CREATE INDEX IDX_FBD8E0F812C7516F ON job (with_whom_id)');
        $this->addSql("ALTER TABLE member ADD timer_sound VARCHAR(20) NOT NULL DEFAULT 'off'");
        $this->addSql('ALTER TABLE member ALTER timer_sound DROP DEFAULT');
        $this->addSql('ALTER TABLE trace ADD is_simulated TINYINT(1) NOT NULL DEFAULT 0');
        $this->addSql('ALTER TABLE trace ALTER is_simulated DROP DEFAULT');
        $this->addSql('ALTER TABLE shop ADD uses_stand_ins TINYINT(1) NOT NULL DEFAULT 0');
        $this->addSql('UPDATE shop SET uses_stand_ins = is_demo');
        $this->addSql('ALTER TABLE shop ALTER uses_stand_ins DROP DEFAULT');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE photo DROP caption');
        $this->addSql('ALTER TABLE job DROP FOREIGN KEY FK_FBD8E0F812C7516F');
        $this->addSql('DROP INDEX IDX_FBD8E0F812C7516F ON job');
        $this->addSql('ALTER TABLE job DROP with_whom_id');
        $this->addSql('ALTER TABLE member DROP timer_sound');
        $this->addSql('ALTER TABLE trace DROP is_simulated');
        $this->addSql('ALTER TABLE shop DROP uses_stand_ins');
    }
}
