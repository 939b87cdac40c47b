<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use AwakeShed\App\Belonging\CurrentShop;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** Makes the shop's plan anew: for the morning, and for a shed that was filled by a command. */
#[AsCommand('shed:replan', 'Makes the plan of the bench day anew.')]
final class ReplanCommand extends Command
{
    public function __construct(private readonly Plans $plans, private readonly CurrentShop $shops)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addOption('if-old', null, InputOption::VALUE_NONE, 'Only where none was made today, or what changed since is not in it');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $this->shops->each(fn () => $this->replan($output, true === $input->getOption('if-old')));

        return Command::SUCCESS;
    }

    private function replan(OutputInterface $output, bool $onlyIfOld): void
    {
        $last = $onlyIfOld ? $this->plans->shown() : null;
        if (null !== $last && !$this->plans->isBehind() && $last->beginsAt->format('Y-m-d') === $this->plans->now()->format('Y-m-d')) {
            return;
        }
        $this->plans->replan(waits: true);
        $output->writeln(\sprintf('Plan %d is made.', $this->plans->last()?->getId() ?? 0));
    }
}
