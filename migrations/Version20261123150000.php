<?php

declare(strict_types=1);

namespace AwakeShed\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/**
 * Generated from the mapping of the entities as of the first slice.
 */
final class Version20261123150000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'The first slice: people, machines, jobs and their record.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE entry (id INT AUTO_INCREMENT NOT NULL, at DATETIME NOT NULL, kind VARCHAR(20) NOT NULL, source VARCHAR(20) NOT NULL, struck TINYINT NOT NULL, sample VARCHAR(10) DEFAULT NULL, jar JSON DEFAULT NULL, rewritten JSON DEFAULT NULL, as_typed JSON NOT NULL, job_id INT NOT NULL, by_id INT NOT NULL, target_id INT DEFAULT NULL, INDEX IDX_2B219D70BE04EA9 (job_id), INDEX IDX_2B219D70AAE72004 (by_id), INDEX IDX_2B219D70158E0B66 (target_id), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('CREATE TABLE job (id INT AUTO_INCREMENT NOT NULL, taken_in_at DATETIME NOT NULL, wanted_by DATE DEFAULT NULL, remarks VARCHAR(2000) NOT NULL, schools JSON NOT NULL, extras JSON NOT NULL, stand VARCHAR(20) NOT NULL, waits_for VARCHAR(60) NOT NULL, handed_back_at DATETIME DEFAULT NULL, due DATE NOT NULL, kind VARCHAR(30) NOT NULL, search_text VARCHAR(250) NOT NULL COLLATE `utf8mb4_bin`, machine_id INT NOT NULL, taken_in_by_id INT NOT NULL, INDEX IDX_FBD8E0F8F6B75B26 (machine_id), INDEX IDX_FBD8E0F86EABEF49 (taken_in_by_id), INDEX IDX_FBD8E0F8872935BB64B918B6DF0FA28A (handed_back_at, stand, due), INDEX IDX_FBD8E0F8872935BBDF0FA28A (handed_back_at, due), INDEX IDX_FBD8E0F8872935BB7880D0AD (handed_back_at, taken_in_at), INDEX IDX_FBD8E0F8872935BB6091B2AE64B918B6DF0FA28A (handed_back_at, search_text, stand, due), INDEX IDX_FBD8E0F8872935BB3BC4BCD964B918B6DF0FA28A (handed_back_at, kind, stand, due), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('CREATE TABLE machine (id INT AUTO_INCREMENT NOT NULL, kind VARCHAR(30) NOT NULL, label VARCHAR(120) NOT NULL, owner_name VARCHAR(120) NOT NULL, owner_contact VARCHAR(120) NOT NULL, cycle VARCHAR(20) NOT NULL, displacement_cc DOUBLE PRECISION DEFAULT NULL, compression_ratio DOUBLE PRECISION DEFAULT NULL, compression_release TINYINT DEFAULT NULL, feed VARCHAR(20) DEFAULT NULL, choke VARCHAR(20) DEFAULT NULL, oil_ml DOUBLE PRECISION DEFAULT NULL, tank_ml DOUBLE PRECISION DEFAULT NULL, blade_mm DOUBLE PRECISION DEFAULT NULL, governed_rpm DOUBLE PRECISION DEFAULT NULL, extras JSON NOT NULL, INDEX IDX_1505DF84EA750E8 (label), INDEX IDX_1505DF84C8851D96 (owner_name), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('CREATE TABLE member (id INT AUTO_INCREMENT NOT NULL, sign_in_name VARCHAR(60) NOT NULL, name VARCHAR(60) NOT NULL, password_hash VARCHAR(255) NOT NULL, role VARCHAR(20) NOT NULL, units VARCHAR(20) NOT NULL, look VARCHAR(20) NOT NULL, active TINYINT NOT NULL, joined_at DATETIME NOT NULL, UNIQUE INDEX UNIQ_70E4FA78C1F0079F (sign_in_name), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('CREATE TABLE photo (id INT AUTO_INCREMENT NOT NULL, file VARCHAR(60) NOT NULL, width INT NOT NULL, height INT NOT NULL, at DATETIME NOT NULL, removed_at DATETIME DEFAULT NULL, job_id INT NOT NULL, by_id INT NOT NULL, UNIQUE INDEX UNIQ_14B784188C9F3610 (file), INDEX IDX_14B78418BE04EA9 (job_id), INDEX IDX_14B78418AAE72004 (by_id), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('CREATE TABLE recorded_finding (id INT AUTO_INCREMENT NOT NULL, test VARCHAR(80) DEFAULT NULL, outcomes JSON NOT NULL, number DOUBLE PRECISION DEFAULT NULL, put_right VARCHAR(80) DEFAULT NULL, measured JSON NOT NULL, extras JSON NOT NULL, entry_id INT NOT NULL, INDEX IDX_B4B54BB1BA364942 (entry_id), INDEX IDX_B4B54BB1D87F7E0C (test), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('CREATE TABLE used_key (request_key CHAR(36) CHARACTER SET ascii NOT NULL COLLATE `ascii_bin`, member_id INT NOT NULL, used_at DATETIME NOT NULL, made INT DEFAULT NULL, INDEX IDX_8E26A80077241BA (used_at), PRIMARY KEY (request_key)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('CREATE TABLE wait (id INT AUTO_INCREMENT NOT NULL, kind VARCHAR(20) NOT NULL, started_at DATETIME NOT NULL, ready_at DATETIME NOT NULL, ended_at DATETIME DEFAULT NULL, job_id INT NOT NULL, started_by_id INT NOT NULL, INDEX IDX_7DEE83E5BE04EA9 (job_id), INDEX IDX_7DEE83E59740C9D5 (started_by_id), INDEX IDX_7DEE83E51C3D1565A79A4EEC (ended_at, ready_at), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('CREATE TABLE waste_portion (id INT AUTO_INCREMENT NOT NULL, stream VARCHAR(30) NOT NULL, millilitres DOUBLE PRECISION NOT NULL, at DATETIME NOT NULL, taken_back_at DATETIME DEFAULT NULL, job_id INT NOT NULL, by_id INT NOT NULL, INDEX IDX_4780AF0BE04EA9 (job_id), INDEX IDX_4780AF0AAE72004 (by_id), INDEX IDX_4780AF0F0E9BE1C3B086F01 (stream, taken_back_at), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('ALTER TABLE entry ADD CONSTRAINT FK_2B219D70BE04EA9 FOREIGN KEY (job_id) REFERENCES job (id)');
        $this->addSql('ALTER TABLE entry ADD CONSTRAINT FK_2B219D70AAE72004 FOREIGN KEY (by_id) REFERENCES member (id)');
        $this->addSql('ALTER TABLE entry ADD CONSTRAINT FK_2B219D70158E0B66 FOREIGN KEY (target_id) REFERENCES entry (id)');
        $this->addSql('ALTER TABLE job ADD CONSTRAINT FK_FBD8E0F8F6B75B26 FOREIGN KEY (machine_id) REFERENCES machine (id)');
        $this->addSql('ALTER TABLE job ADD CONSTRAINT FK_FBD8E0F86EABEF49 FOREIGN KEY (taken_in_by_id) REFERENCES member (id)');
        $this->addSql('ALTER TABLE photo ADD CONSTRAINT FK_14B78418BE04EA9 FOREIGN KEY (job_id) REFERENCES job (id)');
        $this->addSql('ALTER TABLE photo ADD CONSTRAINT FK_14B78418AAE72004 FOREIGN KEY (by_id) REFERENCES member (id)');
        $this->addSql('ALTER TABLE recorded_finding ADD CONSTRAINT FK_B4B54BB1BA364942 FOREIGN KEY (entry_id) REFERENCES entry (id)');
        $this->addSql('ALTER TABLE wait ADD CONSTRAINT FK_7DEE83E5BE04EA9 FOREIGN KEY (job_id) REFERENCES job (id)');
        $this->addSql('ALTER TABLE wait ADD CONSTRAINT FK_7DEE83E59740C9D5 FOREIGN KEY (started_by_id) REFERENCES member (id)');
        $this->addSql('ALTER TABLE waste_portion ADD CONSTRAINT FK_4780AF0BE04EA9 FOREIGN KEY (job_id) REFERENCES job (id)');
        $this->addSql('ALTER TABLE waste_portion ADD CONSTRAINT FK_4780AF0AAE72004 FOREIGN KEY (by_id) REFERENCES member (id)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE entry DROP FOREIGN KEY FK_2B219D70BE04EA9');
        $this->addSql('ALTER TABLE entry DROP FOREIGN KEY FK_2B219D70AAE72004');
        $this->addSql('ALTER TABLE entry DROP FOREIGN KEY FK_2B219D70158E0B66');
        $this->addSql('ALTER TABLE job DROP FOREIGN KEY FK_FBD8E0F8F6B75B26');
        $this->addSql('ALTER TABLE job DROP FOREIGN KEY FK_FBD8E0F86EABEF49');
        $this->addSql('ALTER TABLE photo DROP FOREIGN KEY FK_14B78418BE04EA9');
        $this->addSql('ALTER TABLE photo DROP FOREIGN KEY FK_14B78418AAE72004');
        $this->addSql('ALTER TABLE recorded_finding DROP FOREIGN KEY FK_B4B54BB1BA364942');
        $this->addSql('ALTER TABLE wait DROP FOREIGN KEY FK_7DEE83E5BE04EA9');
        $this->addSql('ALTER TABLE wait DROP FOREIGN KEY FK_7DEE83E59740C9D5');
        $this->addSql('ALTER TABLE waste_portion DROP FOREIGN KEY FK_4780AF0BE04EA9');
        $this->addSql('ALTER TABLE waste_portion DROP FOREIGN KEY FK_4780AF0AAE72004');
        $this->addSql('DROP TABLE entry');
        $this->addSql('DROP TABLE job');
        $this->addSql('DROP TABLE machine');
        $this->addSql('DROP TABLE member');
        $this->addSql('DROP TABLE photo');
        $this->addSql('DROP TABLE recorded_finding');
        $this->addSql('DROP TABLE used_key');
        $this->addSql('DROP TABLE wait');
        $this->addSql('DROP TABLE waste_portion');
    }
}
