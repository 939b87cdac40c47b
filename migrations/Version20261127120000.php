<?php

declare(strict_types=1);

namespace AwakeShed\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** The last plan of a shop is found among those of many. */
final class Version20261127120000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Plans by shop';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE INDEX plan_of_shop ON plan_version (shop_id)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP INDEX plan_of_shop ON plan_version');
    }
}
