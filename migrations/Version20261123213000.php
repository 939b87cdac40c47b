<?php

declare(strict_types=1);

namespace AwakeShed\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261123213000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'The odds a shop holds otherwise than they ship, what was done at a step, cans for the waste, the schools a shop follows, and the gate a photo was taken at.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE own_odds (path VARCHAR(160) NOT NULL, share DOUBLE PRECISION NOT NULL, at DATETIME NOT NULL, by_id INT NOT NULL, INDEX IDX_299DBF67AAE72004 (by_id), PRIMARY KEY (path)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('ALTER TABLE own_odds ADD CONSTRAINT FK_299DBF67AAE72004 FOREIGN KEY (by_id) REFERENCES member (id)');
        $this->addSql('ALTER TABLE entry ADD done JSON DEFAULT NULL');
        $this->addSql('CREATE TABLE waste_can (id INT AUTO_INCREMENT NOT NULL, name VARCHAR(80) NOT NULL, stream VARCHAR(30) NOT NULL, capacity_ml DOUBLE PRECISION NOT NULL, emptied_at DATETIME DEFAULT NULL, PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('ALTER TABLE waste_portion ADD can_id INT DEFAULT NULL');
        $this->addSql('ALTER TABLE waste_portion ADD CONSTRAINT FK_4780AF0D9091EB8 FOREIGN KEY (can_id) REFERENCES waste_can (id)');
        $this->addSql('CREATE INDEX IDX_4780AF0D9091EB8 ON waste_portion (can_id)');
        $this->addSql('ALTER TABLE photo ADD gate VARCHAR(20) DEFAULT NULL');
        $this->addSql('CREATE TABLE shop_school (question VARCHAR(40) NOT NULL, school VARCHAR(60) NOT NULL, PRIMARY KEY (question)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE shop_school');
        $this->addSql('ALTER TABLE photo DROP gate');
        $this->addSql('ALTER TABLE waste_portion DROP FOREIGN KEY FK_4780AF0D9091EB8');
        $this->addSql('DROP TABLE waste_can');
        $this->addSql('DROP INDEX IDX_4780AF0D9091EB8 ON waste_portion');
        $this->addSql('ALTER TABLE waste_portion DROP can_id');
        $this->addSql('ALTER TABLE entry DROP done');
        $this->addSql('ALTER TABLE own_odds DROP FOREIGN KEY FK_299DBF67AAE72004');
        $this->addSql('DROP TABLE own_odds');
    }
}
