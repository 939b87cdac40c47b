<?php

declare(strict_types=1);

namespace AwakeShed\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261125130000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'A shop of one\'s own; sessions, links, second factors, kept forms and the trail.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE audit_note (id BIGINT AUTO_INCREMENT NOT NULL, at DATETIME NOT NULL, member_id INT DEFAULT NULL, what VARCHAR(30) NOT NULL, subject VARCHAR(120) NOT NULL, said_before JSON NOT NULL, says_now JSON NOT NULL, address VARCHAR(45) NOT NULL, INDEX IDX_E91D14106A57FD3C (at), INDEX IDX_E91D1410BAE632626A57FD3C (what, at), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('CREATE TABLE kept_form (member_id INT NOT NULL, path VARCHAR(500) NOT NULL, fields JSON NOT NULL, at DATETIME NOT NULL, PRIMARY KEY (member_id)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('CREATE TABLE one_time_link (digest CHAR(64) CHARACTER SET ascii NOT NULL COLLATE `ascii_bin`, good_until DATETIME NOT NULL, member_id INT NOT NULL, INDEX IDX_F31095327597D3FE (member_id), PRIMARY KEY (digest)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('CREATE TABLE open_session (id CHAR(32) CHARACTER SET ascii NOT NULL COLLATE `ascii_bin`, started_at DATETIME NOT NULL, seen_at DATETIME NOT NULL, ended_at DATETIME DEFAULT NULL, device VARCHAR(80) NOT NULL, is_proved TINYINT NOT NULL, member_id INT NOT NULL, INDEX IDX_BD7019277597D3FE1C3D1565 (member_id, ended_at), INDEX IDX_BD7019277597D3FE (member_id), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('CREATE TABLE shop (id INT NOT NULL, name VARCHAR(120) NOT NULL, place VARCHAR(120) NOT NULL, units VARCHAR(20) NOT NULL, is_demo TINYINT NOT NULL, opened_at DATETIME NOT NULL, PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('ALTER TABLE one_time_link ADD CONSTRAINT FK_F31095327597D3FE FOREIGN KEY (member_id) REFERENCES member (id)');
        $this->addSql('ALTER TABLE open_session ADD CONSTRAINT FK_BD7019277597D3FE FOREIGN KEY (member_id) REFERENCES member (id)');
        $this->addSql('ALTER TABLE job ADD is_demo TINYINT NOT NULL');
        $this->addSql('ALTER TABLE member ADD email VARCHAR(180) DEFAULT NULL, ADD must_change_password TINYINT NOT NULL, ADD second_factor_sealed VARCHAR(200) DEFAULT NULL, ADD second_factor_last_step INT NOT NULL, ADD second_factor_recovery JSON DEFAULT \'[]\' NOT NULL, CHANGE sign_in_name sign_in_name VARCHAR(60) NOT NULL COLLATE `utf8mb4_bin`');
        $this->addSql('ALTER TABLE member ALTER second_factor_recovery DROP DEFAULT');
        // A shed that was open before has its shop; the demo is known by its people.
        $this->addSql("INSERT INTO shop (id, name, place, units, is_demo, opened_at) SELECT 1, 'The shop', '', 'trade_mixed', (SELECT COUNT(*) = 3 FROM member WHERE sign_in_name IN ('odalys', 'tamsin', 'wim')), UTC_TIMESTAMP() FROM DUAL WHERE EXISTS (SELECT 1 FROM member)");
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE one_time_link DROP FOREIGN KEY FK_F31095327597D3FE');
        $this->addSql('ALTER TABLE open_session DROP FOREIGN KEY FK_BD7019277597D3FE');
        $this->addSql('DROP TABLE audit_note');
        $this->addSql('DROP TABLE kept_form');
        $this->addSql('DROP TABLE one_time_link');
        $this->addSql('DROP TABLE open_session');
        $this->addSql('DROP TABLE shop');
        $this->addSql('ALTER TABLE job DROP is_demo');
        $this->addSql('ALTER TABLE member DROP email, DROP must_change_password, DROP second_factor_sealed, DROP second_factor_last_step, DROP second_factor_recovery, CHANGE sign_in_name sign_in_name VARCHAR(60) NOT NULL');
    }
}
