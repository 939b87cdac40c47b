<?php

declare(strict_types=1);

namespace AwakeShed\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** What several web servers of one shed must know of each other: sessions, tries, news. */
final class Version20261126160000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Sessions, tries and news for several web servers';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE session_row (id VARCHAR(250) CHARACTER SET ascii NOT NULL COLLATE `ascii_bin`, content MEDIUMBLOB NOT NULL, seen_at DATETIME NOT NULL, INDEX session_seen (seen_at), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('CREATE TABLE cache_items (item_id VARBINARY(255) NOT NULL, item_data MEDIUMBLOB NOT NULL, item_lifetime INT UNSIGNED DEFAULT NULL, item_time INT UNSIGNED NOT NULL, PRIMARY KEY (item_id)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('CREATE TABLE news (address VARCHAR(40) CHARACTER SET ascii NOT NULL COLLATE `ascii_bin`, word VARCHAR(40) CHARACTER SET ascii NOT NULL COLLATE `ascii_bin`, at DATETIME NOT NULL, INDEX news_at (at), PRIMARY KEY (address)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP TABLE session_row');
        $this->addSql('DROP TABLE cache_items');
        $this->addSql('DROP TABLE news');
    }
}
