<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** Makes the shop's plan anew: for the morning, and for a shed that was filled by a command. */
#[AsCommand('shed:replan', 'Makes the plan of the bench day anew.')]
final class ReplanCommand extends Command
{
    public function __construct(private readonly Plans $plans)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addOption('if-old', null, InputOption::VALUE_NONE, 'Only where none was made today, or what changed since is not in it');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $last = $this->plans->last();
        if (true === $input->getOption('if-old') && null !== $last && !$this->plans->isBehind() && $this->plans->moment($last, 0)->format('Y-m-d') === $this->plans->now()->format('Y-m-d')) {
            return Command::SUCCESS;
        }
        $this->plans->replan(waits: true);
        $output->writeln(\sprintf('Plan %d is made.', $this->plans->last()?->getId() ?? 0));

        return Command::SUCCESS;
    }
}
