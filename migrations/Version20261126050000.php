<?php

declare(strict_types=1);

namespace AwakeShed\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** Money of a job, the life of a machine, parts on the shelf, sheets that went out, and the link to the shop’s calendar. */
final class Version20261126050000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Money, machine lives, shelf, sheets, calendar';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE life_note (id INT AUTO_INCREMENT NOT NULL, topic VARCHAR(20) NOT NULL, text VARCHAR(200) NOT NULL, at DATETIME NOT NULL, taken_back_at DATETIME DEFAULT NULL, machine_id INT NOT NULL, by_id INT NOT NULL, INDEX IDX_771F47AAF6B75B26 (machine_id), INDEX IDX_771F47AAAAE72004 (by_id), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('CREATE TABLE charge (id INT AUTO_INCREMENT NOT NULL, kind VARCHAR(20) NOT NULL, text VARCHAR(120) NOT NULL, quantity DOUBLE PRECISION NOT NULL, unit_price DOUBLE PRECISION NOT NULL, at DATETIME NOT NULL, taken_back_at DATETIME DEFAULT NULL, job_id INT NOT NULL, by_id INT NOT NULL, INDEX IDX_556BA434BE04EA9 (job_id), INDEX IDX_556BA434AAE72004 (by_id), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('CREATE TABLE estimate (id INT AUTO_INCREMENT NOT NULL, least DOUBLE PRECISION NOT NULL, most DOUBLE PRECISION NOT NULL, text VARCHAR(500) NOT NULL, at DATETIME NOT NULL, word VARCHAR(20) DEFAULT NULL, up_to DOUBLE PRECISION DEFAULT NULL, said_by VARCHAR(120) NOT NULL, said_at DATETIME DEFAULT NULL, job_id INT NOT NULL, by_id INT NOT NULL, INDEX IDX_D2EA4607BE04EA9 (job_id), INDEX IDX_D2EA4607AAE72004 (by_id), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('CREATE TABLE price_book (id INT NOT NULL, wage DOUBLE PRECISION NOT NULL, base_hours DOUBLE PRECISION NOT NULL, consumables DOUBLE PRECISION NOT NULL, waste_fee DOUBLE PRECISION NOT NULL, tax_percent DOUBLE PRECISION NOT NULL, is_labor_taxed TINYINT NOT NULL, PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('CREATE TABLE sent_sheet (id INT AUTO_INCREMENT NOT NULL, kind VARCHAR(20) NOT NULL, sha256 VARCHAR(64) NOT NULL, at DATETIME NOT NULL, sent_to VARCHAR(200) NOT NULL, is_taken TINYINT DEFAULT NULL, token_hash VARCHAR(64) DEFAULT NULL, ends_at DATETIME DEFAULT NULL, withdrawn_at DATETIME DEFAULT NULL, job_id INT NOT NULL, by_id INT NOT NULL, UNIQUE INDEX UNIQ_8980086AB3BC57DA (token_hash), INDEX IDX_8980086ABE04EA9 (job_id), INDEX IDX_8980086AAAE72004 (by_id), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('CREATE TABLE sheet_copy (sha256 VARCHAR(64) NOT NULL, bytes MEDIUMBLOB NOT NULL, PRIMARY KEY (sha256)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('CREATE TABLE shelf_move (id INT AUTO_INCREMENT NOT NULL, moved INT NOT NULL, at DATETIME NOT NULL, part_id INT NOT NULL, job_id INT DEFAULT NULL, who_id INT NOT NULL, INDEX IDX_67C6A1264CE34BEC (part_id), INDEX IDX_67C6A126BE04EA9 (job_id), INDEX IDX_67C6A126F4E25B21 (who_id), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('CREATE TABLE shelf_part (id INT AUTO_INCREMENT NOT NULL, name VARCHAR(120) NOT NULL, number VARCHAR(120) NOT NULL, part_condition VARCHAR(20) NOT NULL, place VARCHAR(120) NOT NULL, fits VARCHAR(120) NOT NULL, comes_off VARCHAR(120) NOT NULL, on_shelf INT NOT NULL, order_below INT NOT NULL, price DOUBLE PRECISION NOT NULL, INDEX IDX_C1F7E6985E237E06 (name), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('ALTER TABLE life_note ADD CONSTRAINT FK_771F47AAF6B75B26 FOREIGN KEY (machine_id) REFERENCES machine (id)');
        $this->addSql('ALTER TABLE life_note ADD CONSTRAINT FK_771F47AAAAE72004 FOREIGN KEY (by_id) REFERENCES member (id)');
        $this->addSql('ALTER TABLE charge ADD CONSTRAINT FK_556BA434BE04EA9 FOREIGN KEY (job_id) REFERENCES job (id)');
        $this->addSql('ALTER TABLE charge ADD CONSTRAINT FK_556BA434AAE72004 FOREIGN KEY (by_id) REFERENCES member (id)');
        $this->addSql('ALTER TABLE estimate ADD CONSTRAINT FK_D2EA4607BE04EA9 FOREIGN KEY (job_id) REFERENCES job (id)');
        $this->addSql('ALTER TABLE estimate ADD CONSTRAINT FK_D2EA4607AAE72004 FOREIGN KEY (by_id) REFERENCES member (id)');
        $this->addSql('ALTER TABLE sent_sheet ADD CONSTRAINT FK_8980086ABE04EA9 FOREIGN KEY (job_id) REFERENCES job (id)');
        $this->addSql('ALTER TABLE sent_sheet ADD CONSTRAINT FK_8980086AAAE72004 FOREIGN KEY (by_id) REFERENCES member (id)');
        $this->addSql('ALTER TABLE shelf_move ADD CONSTRAINT FK_67C6A1264CE34BEC FOREIGN KEY (part_id) REFERENCES shelf_part (id)');
        $this->addSql('ALTER TABLE shelf_move ADD CONSTRAINT FK_67C6A126BE04EA9 FOREIGN KEY (job_id) REFERENCES job (id)');
        $this->addSql('ALTER TABLE shelf_move ADD CONSTRAINT FK_67C6A126F4E25B21 FOREIGN KEY (who_id) REFERENCES member (id)');
        $this->addSql('ALTER TABLE shop ADD feed_hash VARCHAR(64) DEFAULT NULL');
        $this->addSql("ALTER TABLE job ADD work_minutes DOUBLE PRECISION NOT NULL DEFAULT 0, ADD cap DOUBLE PRECISION DEFAULT NULL, ADD worth DOUBLE PRECISION DEFAULT NULL, ADD is_comeback TINYINT DEFAULT NULL, ADD missed VARCHAR(500) NOT NULL DEFAULT '', ADD soon_after_id INT DEFAULT NULL");
        $this->addSql('ALTER TABLE job ALTER missed DROP DEFAULT');
        $this->addSql('ALTER TABLE job ALTER work_minutes DROP DEFAULT');
        $this->addSql('ALTER TABLE job ADD CONSTRAINT FK_FBD8E0F89E15670E FOREIGN KEY (soon_after_id) REFERENCES job (id)');
        $this->addSql('CREATE INDEX IDX_FBD8E0F89E15670E ON job (soon_after_id)');
        $this->addSql("ALTER TABLE machine ADD maker VARCHAR(120) NOT NULL DEFAULT '', ADD model VARCHAR(120) NOT NULL DEFAULT '', ADD plate_type VARCHAR(120) NOT NULL DEFAULT '', ADD serial VARCHAR(120) NOT NULL DEFAULT '', ADD plug VARCHAR(120) NOT NULL DEFAULT '', ADD filter VARCHAR(120) NOT NULL DEFAULT '', ADD hours_a_year DOUBLE PRECISION DEFAULT NULL");
        $this->addSql('ALTER TABLE machine ALTER maker DROP DEFAULT');
        $this->addSql('ALTER TABLE machine ALTER model DROP DEFAULT');
        $this->addSql('ALTER TABLE machine ALTER plate_type DROP DEFAULT');
        $this->addSql('ALTER TABLE machine ALTER serial DROP DEFAULT');
        $this->addSql('ALTER TABLE machine ALTER plug DROP DEFAULT');
        $this->addSql('ALTER TABLE machine ALTER filter DROP DEFAULT');
        $this->addSql('CREATE INDEX IDX_1505DF84D374C9DC ON machine (serial)');
        $this->addSql('CREATE INDEX IDX_1505DF84C6197FB4D79572D9 ON machine (maker, model)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE life_note DROP FOREIGN KEY FK_771F47AAF6B75B26');
        $this->addSql('ALTER TABLE life_note DROP FOREIGN KEY FK_771F47AAAAE72004');
        $this->addSql('ALTER TABLE charge DROP FOREIGN KEY FK_556BA434BE04EA9');
        $this->addSql('ALTER TABLE charge DROP FOREIGN KEY FK_556BA434AAE72004');
        $this->addSql('ALTER TABLE estimate DROP FOREIGN KEY FK_D2EA4607BE04EA9');
        $this->addSql('ALTER TABLE estimate DROP FOREIGN KEY FK_D2EA4607AAE72004');
        $this->addSql('ALTER TABLE sent_sheet DROP FOREIGN KEY FK_8980086ABE04EA9');
        $this->addSql('ALTER TABLE sent_sheet DROP FOREIGN KEY FK_8980086AAAE72004');
        $this->addSql('ALTER TABLE shelf_move DROP FOREIGN KEY FK_67C6A1264CE34BEC');
        $this->addSql('ALTER TABLE shelf_move DROP FOREIGN KEY FK_67C6A126BE04EA9');
        $this->addSql('ALTER TABLE shelf_move DROP FOREIGN KEY FK_67C6A126F4E25B21');
        $this->addSql('ALTER TABLE job DROP FOREIGN KEY FK_FBD8E0F89E15670E');
        $this->addSql('DROP INDEX IDX_FBD8E0F89E15670E ON job');
        $this->addSql('DROP INDEX IDX_1505DF84D374C9DC ON machine');
        $this->addSql('DROP INDEX IDX_1505DF84C6197FB4D79572D9 ON machine');
        $this->addSql('DROP TABLE life_note');
        $this->addSql('DROP TABLE charge');
        $this->addSql('DROP TABLE estimate');
        $this->addSql('DROP TABLE price_book');
        $this->addSql('DROP TABLE sent_sheet');
        $this->addSql('DROP TABLE sheet_copy');
        $this->addSql('DROP TABLE shelf_move');
        $this->addSql('DROP TABLE shelf_part');
        $this->addSql('ALTER TABLE shop DROP feed_hash');
        $this->addSql('ALTER TABLE job DROP work_minutes, DROP cap, DROP worth, DROP is_comeback, DROP missed, DROP soon_after_id');
        $this->addSql('ALTER TABLE machine DROP maker, DROP model, DROP plate_type, DROP serial, DROP plug, DROP filter, DROP hours_a_year');
    }
}
