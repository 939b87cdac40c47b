<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence;

use Doctrine\DBAL\Connection;
use Doctrine\DBAL\Exception as DatabaseException;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Attribute\Option;
use Symfony\Component\Console\Command\Command;

/** Runs beside each web server of a shed that has several. */
#[AsCommand('shed:relay-news', 'Copies what other web servers say is new to where the pages of this one look, until it is stopped')]
final readonly class RelayNewsCommand
{
    /** µs */
    private const BETWEEN = 400_000;

    public function __construct(private NewsStamps $stamps, private Connection $database)
    {
    }

    public function __invoke(#[Option('how often, before it ends by itself; 0 for ever')] int $times = 0): int
    {
        $known = [];
        for ($time = 1; 0 === $times || $time <= $times; ++$time) {
            try {
                $known = $this->stamps->relay($known);
            } catch (DatabaseException) {
                // The node it asked is gone; the next ask goes to another.
                $this->database->close();
            }
            usleep(self::BETWEEN);
        }

        return Command::SUCCESS;
    }
}
