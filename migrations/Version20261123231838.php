<?php

declare(strict_types=1);

namespace AwakeShed\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261123231838 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'The oil on the shelf, the local rules of waste, and what a step leaves behind tied to it.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE oil (id INT AUTO_INCREMENT NOT NULL, name VARCHAR(60) NOT NULL, UNIQUE INDEX UNIQ_4CF1A8925E237E06 (name), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('CREATE TABLE oil_move (id INT AUTO_INCREMENT NOT NULL, millilitres DOUBLE PRECISION NOT NULL, at DATETIME NOT NULL, oil_id INT NOT NULL, by_id INT NOT NULL, entry_id INT DEFAULT NULL, INDEX IDX_79C81B1734B25D89 (oil_id), INDEX IDX_79C81B17AAE72004 (by_id), INDEX IDX_79C81B17BA364942 (entry_id), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('CREATE TABLE waste_rule (stream VARCHAR(30) NOT NULL, note VARCHAR(500) NOT NULL, PRIMARY KEY (stream)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('ALTER TABLE oil_move ADD CONSTRAINT FK_79C81B1734B25D89 FOREIGN KEY (oil_id) REFERENCES oil (id)');
        $this->addSql('ALTER TABLE oil_move ADD CONSTRAINT FK_79C81B17AAE72004 FOREIGN KEY (by_id) REFERENCES member (id)');
        $this->addSql('ALTER TABLE oil_move ADD CONSTRAINT FK_79C81B17BA364942 FOREIGN KEY (entry_id) REFERENCES entry (id)');
        $this->addSql('ALTER TABLE wait ADD entry_id INT DEFAULT NULL');
        $this->addSql('ALTER TABLE wait ADD CONSTRAINT FK_7DEE83E5BA364942 FOREIGN KEY (entry_id) REFERENCES entry (id)');
        $this->addSql('CREATE INDEX IDX_7DEE83E5BA364942 ON wait (entry_id)');
        $this->addSql('ALTER TABLE waste_portion ADD entry_id INT DEFAULT NULL');
        $this->addSql('ALTER TABLE waste_portion ADD CONSTRAINT FK_4780AF0BA364942 FOREIGN KEY (entry_id) REFERENCES entry (id)');
        $this->addSql('CREATE INDEX IDX_4780AF0BA364942 ON waste_portion (entry_id)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE oil_move DROP FOREIGN KEY FK_79C81B1734B25D89');
        $this->addSql('ALTER TABLE oil_move DROP FOREIGN KEY FK_79C81B17AAE72004');
        $this->addSql('ALTER TABLE oil_move DROP FOREIGN KEY FK_79C81B17BA364942');
        $this->addSql('DROP TABLE oil');
        $this->addSql('DROP TABLE oil_move');
        $this->addSql('DROP TABLE waste_rule');
        $this->addSql('ALTER TABLE wait DROP FOREIGN KEY FK_7DEE83E5BA364942');
        $this->addSql('DROP INDEX IDX_7DEE83E5BA364942 ON wait');
        $this->addSql('ALTER TABLE wait DROP entry_id');
        $this->addSql('ALTER TABLE waste_portion DROP FOREIGN KEY FK_4780AF0BA364942');
        $this->addSql('DROP INDEX IDX_4780AF0BA364942 ON waste_portion');
        $this->addSql('ALTER TABLE waste_portion DROP entry_id');
    }
}
