<?php

declare(strict_types=1);

namespace AwakeShed\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

/** Where a job stands is said more finely; a machine may have two cylinders and an electric starter. */
final class Version20261125160000 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'Finer stands of a job; cylinders and electric start of a machine';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('ALTER TABLE machine ADD cylinders INT DEFAULT NULL, ADD electric_start TINYINT DEFAULT NULL');
        $this->addSql("ALTER TABLE job ADD hand_back_reason VARCHAR(500) DEFAULT '' NOT NULL, ADD waits_for_parts TINYINT DEFAULT 0 NOT NULL");
        $this->addSql('ALTER TABLE job ALTER hand_back_reason DROP DEFAULT, ALTER waits_for_parts DROP DEFAULT');
        $this->addSql("UPDATE job SET waits_for_parts = 1 WHERE id IN (SELECT job_id FROM wanted_part WHERE state IN ('to_order', 'ordered'))");
        // Until `shed:recompute`, or the next thing recorded of it, says it exactly.
        $this->addSql("UPDATE job SET stand = 'before_first_run', waits_for = 'start.plain' WHERE stand = 'ready'");
        $this->addSql("UPDATE job SET waits_for = CASE waits_for WHEN 'fuel.away' THEN 'tank.drained' WHEN 'carburetor.on' THEN 'carburetor.on' ELSE 'jar.tank' END WHERE waits_for LIKE 'fuel.%'");
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE job DROP hand_back_reason, DROP waits_for_parts');
        $this->addSql('ALTER TABLE machine DROP cylinders, DROP electric_start');
        $this->addSql("UPDATE job SET stand = 'ready', waits_for = 'engine.split' WHERE stand IN ('finding_the_cause', 'before_first_run', 'proving', 'waits', 'fit_to_go_home', 'handed_back')");
        $this->addSql("UPDATE job SET stand = 'apart', waits_for = 'carburetor.on' WHERE stand = 'going_together'");
        $this->addSql("UPDATE job SET waits_for = 'fuel.jar' WHERE stand = 'at_fuel'");
    }
}
