<?php

declare(strict_types=1);

namespace AwakeShed\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** A job may wait for its owner's word, or for daylight. */
final class Version20261125190000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Jobs that wait for the owner or for daylight';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE job ADD waits_on VARCHAR(20) DEFAULT NULL');
    }

    public function down(Schema $schema): void
    {
        $this->addSql("UPDATE job SET stand = 'at_gates', waits_for = 'look.oil_level' WHERE waits_for IN ('owner', 'daylight')");
        $this->addSql('ALTER TABLE job DROP waits_on');
    }
}
