<?php

declare(strict_types=1);

namespace AwakeShed\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** The odds a shop holds otherwise than they ship. */
final class Version20261123203517 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'The odds a shop holds otherwise than they ship';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE own_odds (path VARCHAR(160) NOT NULL, share DOUBLE PRECISION NOT NULL, at DATETIME NOT NULL, by_id INT NOT NULL, INDEX IDX_299DBF67AAE72004 (by_id), PRIMARY KEY (path)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('ALTER TABLE own_odds ADD CONSTRAINT FK_299DBF67AAE72004 FOREIGN KEY (by_id) REFERENCES member (id)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE own_odds DROP FOREIGN KEY FK_299DBF67AAE72004');
        $this->addSql('DROP TABLE own_odds');
    }
}
