<?php

declare(strict_types=1);

namespace AwakeShed\App\Once;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Types\Types;
use Psr\Clock\ClockInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('shed:forget-keys', 'Forgets the request keys no waiting form can still be sent with; bin/start does it.')]
final class ForgetKeysCommand extends Command
{
    /** A form kept on somebody's phone over a season's holiday is still known for what it is. */
    private const KEPT_DAYS = 60;

    public function __construct(private readonly Connection $database, private readonly ClockInterface $clock)
    {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $forgotten = $this->database->executeStatement(
            'DELETE FROM used_key WHERE used_at < :before',
            ['before' => $this->clock->now()->modify(\sprintf('-%d days', self::KEPT_DAYS))],
            ['before' => Types::DATETIME_IMMUTABLE],
        );
        $output->writeln(\sprintf('%d request keys forgotten.', $forgotten));

        return Command::SUCCESS;
    }
}
