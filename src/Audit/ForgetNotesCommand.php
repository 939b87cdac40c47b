<?php

declare(strict_types=1);

namespace AwakeShed\App\Audit;

use Psr\Clock\ClockInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** The rule by which the trail is kept. */
#[AsCommand('shed:forget-notes', 'Forgets what the trail holds of long ago; the nightly round does it.')]
final class ForgetNotesCommand extends Command
{
    private const KEPT_DAYS = 730;
    private const LEAST_DAYS = 30;

    public function __construct(private readonly Notes $notes, private readonly ClockInterface $clock)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addOption('days', null, InputOption::VALUE_REQUIRED, \sprintf('How long notes are kept, %d days at least', self::LEAST_DAYS), (string) self::KEPT_DAYS);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $days = filter_var($input->getOption('days'), \FILTER_VALIDATE_INT, ['options' => ['min_range' => self::LEAST_DAYS]]);
        if (!\is_int($days)) {
            $output->writeln(\sprintf('--days takes a whole number from %d up.', self::LEAST_DAYS));

            return Command::INVALID;
        }
        $output->writeln(\sprintf('%d notes forgotten.', $this->notes->forgetBefore($this->clock->now()->modify(\sprintf('-%d days', $days)))));

        return Command::SUCCESS;
    }
}
