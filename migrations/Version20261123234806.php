<?php

declare(strict_types=1);

namespace AwakeShed\Migrations;

use Doctrine\DBAL\Schema\Schema;
use Doctrine\Migrations\AbstractMigration;

final class Version20261123234806 extends AbstractMigration
{
    public function getDescription(): string
    {
        return 'The carburetor bench: what was done there, the parts that are wanted, the tools that fitted.';
    }

    public function up(Schema $schema): void
    {
        $this->addSql('CREATE TABLE tool_size (type VARCHAR(30) NOT NULL, part VARCHAR(40) NOT NULL, size VARCHAR(80) NOT NULL, PRIMARY KEY (type, part)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('CREATE TABLE wanted_part (id INT AUTO_INCREMENT NOT NULL, name VARCHAR(120) NOT NULL, quantity INT NOT NULL, state VARCHAR(20) NOT NULL, changed_at DATETIME NOT NULL, job_id INT NOT NULL, by_id INT NOT NULL, INDEX IDX_A6E38540BE04EA9 (job_id), INDEX IDX_A6E38540AAE72004 (by_id), INDEX IDX_A6E38540A393D2FB (state), PRIMARY KEY (id)) DEFAULT CHARACTER SET utf8mb4 COLLATE `utf8mb4_unicode_ci` ENGINE = InnoDB');
        $this->addSql('ALTER TABLE wanted_part ADD CONSTRAINT FK_A6E38540BE04EA9 FOREIGN KEY (job_id) REFERENCES job (id)');
        $this->addSql('ALTER TABLE wanted_part ADD CONSTRAINT FK_A6E38540AAE72004 FOREIGN KEY (by_id) REFERENCES member (id)');
        $this->addSql('ALTER TABLE entry ADD strip JSON DEFAULT NULL');
    }

    public function down(Schema $schema): void
    {
        $this->addSql('ALTER TABLE wanted_part DROP FOREIGN KEY FK_A6E38540BE04EA9');
        $this->addSql('ALTER TABLE wanted_part DROP FOREIGN KEY FK_A6E38540AAE72004');
        $this->addSql('DROP TABLE tool_size');
        $this->addSql('DROP TABLE wanted_part');
        $this->addSql('ALTER TABLE entry DROP strip');
    }
}
