<?php

declare(strict_types=1);

namespace AwakeShed\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261124001935 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Templates of the shop: the order a carburetor came apart in.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE own_order (id INT AUTO_INCREMENT NOT NULL, name VARCHAR(60) NOT NULL, type VARCHAR(30) NOT NULL, parts JSON NOT NULL, at DATETIME NOT NULL, by_id INT NOT NULL, INDEX IDX_D61C2B4DAAE72004 (by_id), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('ALTER TABLE own_order ADD CONSTRAINT FK_D61C2B4DAAE72004 FOREIGN KEY (by_id) REFERENCES member (id)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE own_order DROP FOREIGN KEY FK_D61C2B4DAAE72004');
        $this->addSql('DROP TABLE own_order');
    }
}
