<?php

declare(strict_types=1);

namespace AwakeShed\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** Who does a thing alone, across workers and machines. */
final class Version20261126120000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Leases';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE lease (name VARCHAR(60) CHARACTER SET ascii NOT NULL COLLATE `ascii_bin`, holder CHAR(16) CHARACTER SET ascii NOT NULL COLLATE `ascii_bin`, held_until DATETIME(6) NOT NULL, PRIMARY KEY (name)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE lease');
    }
}
