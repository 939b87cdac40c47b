<?php

declare(strict_types=1);

namespace AwakeShed\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** Who does not want single-letter keys can switch them off. */
final class Version20261125233000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Single-letter keys can be switched off';
    }

    public function up(Schema $schema): void
    {
        $this->addSql("ALTER TABLE member ADD letter_keys VARCHAR(20) NOT NULL DEFAULT 'on'");
        $this->addSql('ALTER TABLE member ALTER letter_keys DROP DEFAULT');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE member DROP letter_keys');
    }
}
