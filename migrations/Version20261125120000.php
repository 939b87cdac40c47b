<?php

declare(strict_types=1);

namespace AwakeShed\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261125120000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Request keys know what they were sent with; pages of the spec book are compared by what is in them.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE used_key ADD meant VARCHAR(64) CHARACTER SET ascii DEFAULT '' NOT NULL COLLATE `ascii_bin`");
        $this->addSql('ALTER TABLE used_key ALTER meant DROP DEFAULT');
        $this->addSql('ALTER TABLE spec_page DROP version');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE spec_page ADD version INT DEFAULT 1 NOT NULL');
        $this->addSql('ALTER TABLE used_key DROP meant');
    }
}
