<?php

declare(strict_types=1);

namespace AwakeShed\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** A point of the check before the covers says what was seen, where it is a test of the vocabulary. */
final class Version20261125180000 extends AbstractMigration
{
    private const SEEN = ['drip_watch' => 'none', 'linkage' => 'right', 'choke' => 'closes_and_opens'];

    public function getDescription(): string
    {
        return 'Points of the carburetor check say what was seen';
    }

    public function up(Schema $schema): void
    {
        foreach (self::SEEN as $check => $outcome) {
            // Until now only what passed was written down as checked.
            $this->addSql("UPDATE entry SET content = JSON_SET(content, '$.move.said.outcome', '$outcome') WHERE content_kind = 'move' AND JSON_VALUE(content, '$.move.said.check') = '$check'");
        }
    }

    public function down(Schema $schema): void
    {
        $this->addSql("UPDATE entry SET content = JSON_REMOVE(content, '$.move.said.outcome') WHERE content_kind = 'move' AND JSON_VALUE(content, '$.move.kind') = 'check'");
    }
}
