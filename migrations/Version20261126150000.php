<?php

declare(strict_types=1);

namespace AwakeShed\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** Turns: what whoever writes on a thing writes first. */
final class Version20261126150000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Turns';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE turn (name VARCHAR(60) CHARACTER SET ascii NOT NULL COLLATE `ascii_bin`, taken BIGINT UNSIGNED NOT NULL, PRIMARY KEY (name)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE turn');
    }
}
