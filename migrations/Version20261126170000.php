<?php

declare(strict_types=1);

namespace AwakeShed\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** Several shops in one installation: whose it is stands on every row. What there is belongs to the first. */
final class Version20261126170000 extends AbstractMigration
{
    private const ROWS = ['kept_form', 'member', 'one_time_link', 'open_session', 'audit_note', 'own_order', 'wanted_part', 'entry', 'job', 'machine', 'life_note', 'charge', 'estimate', 'oil', 'oil_move', 'used_key', 'photo', 'absence', 'hours', 'plan_mark', 'plan_feed', 'plan_version', 'sent_sheet', 'sheet_copy', 'shelf_move', 'shelf_part', 'spec_page', 'trace', 'wait', 'waste_can', 'waste_portion'];

    /** One for each shop: its own number was 1. */
    private const ONE_EACH = ['plan_state', 'equipment', 'price_book'];

    /** One for each of something, by shop from now on. */
    private const KEYED = ['shop_school' => 'question', 'waste_rule' => 'stream', 'own_odds' => 'path', 'tool_size' => 'type, part', 'job_count' => 'gone, kind, stand, part'];

    /** The shed's questions, each in its order. */
    private const SHED = ['due' => 'due', 'new' => 'taken_in_at', 'name' => 'search_text'];
    private const ASKED = ['' => '', 'kind_' => 'kind, ', 'stand_' => 'stand, ', 'kind_stand_' => 'kind, stand, '];

    private const COUNT = 'INSERT INTO job_count (shop_id, gone, kind, stand, part, machines) SELECT * FROM (%s) changed ORDER BY shop_id, gone, kind, stand ON DUPLICATE KEY UPDATE machines = job_count.machines + VALUES(machines)';
    private const COUNT_BEFORE = 'INSERT INTO job_count (gone, kind, stand, part, machines) SELECT * FROM (%s) changed ORDER BY gone, kind, stand ON DUPLICATE KEY UPDATE machines = job_count.machines + VALUES(machines)';

    public function getDescription(): string
    {
        return 'Whose it is, on every row';
    }

    public function up(Schema $schema): void
    {
        foreach (self::ROWS as $table) {
            $this->addSql("ALTER TABLE $table ADD shop_id INT NOT NULL DEFAULT 1");
            $this->addSql("ALTER TABLE $table ALTER shop_id DROP DEFAULT");
        }
        foreach (self::ONE_EACH as $table) {
            $this->addSql("ALTER TABLE $table CHANGE id shop_id INT NOT NULL");
        }
        foreach (self::KEYED as $table => $key) {
            $this->addSql("ALTER TABLE $table ADD shop_id INT NOT NULL DEFAULT 1, DROP PRIMARY KEY, ADD PRIMARY KEY (shop_id, $key)");
            $this->addSql("ALTER TABLE $table ALTER shop_id DROP DEFAULT");
        }
        $this->addSql('ALTER TABLE oil DROP INDEX UNIQ_4CF1A8925E237E06, ADD UNIQUE INDEX oil_name (shop_id, name)');
        $this->addSql('ALTER TABLE spec_page DROP INDEX UNIQ_5B9455BE5E237E06, ADD UNIQUE INDEX spec_page_name (shop_id, name)');
        $this->layOut('shop_id, ', self::COUNT, 'NEW.shop_id AS shop_id, ', 'OLD.shop_id AS shop_id, ');
        $this->addSql('DROP INDEX IDX_FBD8E0F8872935BB ON job');
        $this->addSql('CREATE INDEX job_home ON job (shop_id, handed_back_at)');
        $this->addSql('CREATE INDEX job_came ON job (shop_id, taken_in_at, kind)');
        $this->addSql('CREATE INDEX member_of_shop ON member (shop_id)');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('DROP INDEX member_of_shop ON member');
        $this->addSql('DROP INDEX job_home ON job');
        $this->addSql('DROP INDEX job_came ON job');
        $this->addSql('CREATE INDEX IDX_FBD8E0F8872935BB ON job (handed_back_at)');
        $this->layOut('', self::COUNT_BEFORE, '', '');
        $this->addSql('ALTER TABLE oil DROP INDEX oil_name, ADD UNIQUE INDEX UNIQ_4CF1A8925E237E06 (name)');
        $this->addSql('ALTER TABLE spec_page DROP INDEX spec_page_name, ADD UNIQUE INDEX UNIQ_5B9455BE5E237E06 (name)');
        foreach (self::KEYED as $table => $key) {
            $this->addSql("ALTER TABLE $table DROP PRIMARY KEY, DROP shop_id, ADD PRIMARY KEY ($key)");
        }
        foreach (self::ONE_EACH as $table) {
            $this->addSql("ALTER TABLE $table CHANGE shop_id id INT NOT NULL");
        }
        foreach (self::ROWS as $table) {
            $this->addSql("ALTER TABLE $table DROP shop_id");
        }
    }

    /** The shed's indexes and what keeps its counts, behind a first column. */
    private function layOut(string $first, string $count, string $came, string $went): void
    {
        foreach (self::SHED as $order => $column) {
            foreach (self::ASKED as $name => $asked) {
                $this->addSql("ALTER TABLE job DROP INDEX shed_$name$order, ADD INDEX shed_$name$order ({$first}gone, $asked$column)");
            }
        }
        foreach (['job_came', 'job_went', 'job_moved'] as $trigger) {
            $this->addSql('DROP TRIGGER '.$trigger);
        }
        $came = "SELECT {$came}NEW.gone AS gone, NEW.kind AS kind, NEW.stand AS stand, NEW.id % 8 AS part, 1 AS machines";
        $went = "SELECT {$went}OLD.gone AS gone, OLD.kind AS kind, OLD.stand AS stand, OLD.id % 8 AS part, -1 AS machines";
        $this->addSql('CREATE TRIGGER job_came AFTER INSERT ON job FOR EACH ROW '.\sprintf($count, $came));
        $this->addSql('CREATE TRIGGER job_went AFTER DELETE ON job FOR EACH ROW '.\sprintf($count, $went));
        $this->addSql('CREATE TRIGGER job_moved AFTER UPDATE ON job FOR EACH ROW IF OLD.gone <> NEW.gone OR OLD.kind <> NEW.kind OR OLD.stand <> NEW.stand THEN '.\sprintf($count, "$went UNION ALL $came").'; END IF');
    }
}
