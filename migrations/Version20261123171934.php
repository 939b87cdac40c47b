<?php

declare(strict_types=1);

namespace AwakeShed\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261123171934 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'The spec book, recorded series, and what a calculation recorded for a job was told.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE spec_page (id INT AUTO_INCREMENT NOT NULL, name VARCHAR(120) NOT NULL, kind VARCHAR(30) DEFAULT NULL, figures JSON NOT NULL, version INT DEFAULT 1 NOT NULL, UNIQUE INDEX UNIQ_5B9455BE5E237E06 (name), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('CREATE TABLE trace (id INT AUTO_INCREMENT NOT NULL, kind VARCHAR(10) NOT NULL, state VARCHAR(10) NOT NULL, name VARCHAR(120) NOT NULL, at DATETIME NOT NULL, samples LONGBLOB NOT NULL, job_id INT DEFAULT NULL, by_id INT NOT NULL, INDEX IDX_315BD5A1BE04EA9 (job_id), INDEX IDX_315BD5A1AAE72004 (by_id), INDEX IDX_315BD5A13BC4BCD96A57FD3C (kind, at), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('ALTER TABLE trace ADD CONSTRAINT FK_315BD5A1BE04EA9 FOREIGN KEY (job_id) REFERENCES job (id)');
        $this->addSql('ALTER TABLE trace ADD CONSTRAINT FK_315BD5A1AAE72004 FOREIGN KEY (by_id) REFERENCES member (id)');
        $this->addSql('ALTER TABLE entry ADD worked JSON DEFAULT NULL');
        $this->addSql("ALTER TABLE member ADD wires JSON NOT NULL DEFAULT '[]'");
        $this->addSql('ALTER TABLE member ALTER wires DROP DEFAULT');
        $this->addSql('ALTER TABLE machine ADD spec_id INT DEFAULT NULL');
        $this->addSql('ALTER TABLE machine ADD CONSTRAINT FK_1505DF84AA8FA4FB FOREIGN KEY (spec_id) REFERENCES spec_page (id) ON DELETE SET NULL');
        $this->addSql('CREATE INDEX IDX_1505DF84AA8FA4FB ON machine (spec_id)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE trace DROP FOREIGN KEY FK_315BD5A1BE04EA9');
        $this->addSql('ALTER TABLE trace DROP FOREIGN KEY FK_315BD5A1AAE72004');
        $this->addSql('ALTER TABLE machine DROP FOREIGN KEY FK_1505DF84AA8FA4FB');
        $this->addSql('DROP TABLE spec_page');
        $this->addSql('DROP TABLE trace');
        $this->addSql('ALTER TABLE entry DROP worked');
        $this->addSql('ALTER TABLE member DROP wires');
        $this->addSql('DROP INDEX IDX_1505DF84AA8FA4FB ON machine');
        $this->addSql('ALTER TABLE machine DROP spec_id');
    }
}
