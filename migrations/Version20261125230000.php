<?php

declare(strict_types=1);

namespace AwakeShed\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** The line of a job in brief stands with it, as where it stands does: the rail of every page is drawn from it. */
final class Version20261125230000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'The line of a job in brief';
    }

    public function up(Schema $schema): void
    {
        // Worked out when it is first asked for; bin/start works the open ones out at once.
        $this->addSql("ALTER TABLE job ADD line JSON NOT NULL DEFAULT '[]'");
        $this->addSql('ALTER TABLE job ALTER line DROP DEFAULT');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE job DROP line');
    }
}
