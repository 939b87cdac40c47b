<?php

declare(strict_types=1);

namespace AwakeShed\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** The index of a job's record has a name: the statement that reads it is held to it. */
final class Version20261126140000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'The index of a record by its name';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE entry RENAME INDEX IDX_2B219D70BE04EA9 TO entry_of_job');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE entry RENAME INDEX entry_of_job TO IDX_2B219D70BE04EA9');
    }
}
