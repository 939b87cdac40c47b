<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence;

use AwakeShed\App\Belonging\CurrentShop;
use AwakeShed\App\Job\JobRepository;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('shed:recompute', 'Works out anew, from the recorded entries, where every job stands; for after a change of the rules.')]
final class RecomputeCommand extends Command
{
    private const AT_ONCE = 200;

    public function __construct(
        private readonly JobRepository $jobs,
        private readonly Derivation $derivation,
        private readonly EntityManagerInterface $entities,
        private readonly CurrentShop $shops,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addOption('open', null, InputOption::VALUE_NONE, 'Only machines that are in the shed: where one that went home stands hangs on no rule.');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $this->shops->each(fn () => $this->recompute($output, (bool) $input->getOption('open')));

        return Command::SUCCESS;
    }

    private function recompute(OutputInterface $output, bool $onlyOpen): void
    {
        $done = 0;
        foreach ($this->jobs->all($onlyOpen) as $job) {
            $job->file();
            $this->derivation->recompute($job);
            if (0 === ++$done % self::AT_ONCE) {
                $this->entities->flush();
                $this->entities->clear();
                $output->writeln(\sprintf('%d jobs', $done));
            }
        }
        $this->entities->flush();
        $output->writeln(\sprintf('%d jobs worked out anew.', $done));
    }
}
