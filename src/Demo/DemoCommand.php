<?php

declare(strict_types=1);

namespace AwakeShed\App\Demo;

use AwakeShed\App\Account\Shops;
use AwakeShed\App\Words\Words;
use Doctrine\ORM\EntityManagerInterface;
use League\Flysystem\FilesystemOperator;
use Psr\Clock\ClockInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('shed:demo', 'Empties the shed and fills it with the demo; or, where it is empty, only fills it; or prints the demo sign-ins.')]
final class DemoCommand extends Command
{
    public function __construct(
        private readonly EntityManagerInterface $entities,
        private readonly Barn $barn,
        private readonly FilesystemOperator $photos,
        private readonly ClockInterface $clock,
        private readonly Words $words,
        private readonly Shops $shops,
        private readonly string $runDir,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this
            ->addOption('yes', null, InputOption::VALUE_NONE, 'Really empty the shed')
            ->addOption('if-empty', null, InputOption::VALUE_NONE, 'Only where the shed holds no person, no machine and is nobody\'s')
            ->addOption('holds', null, InputOption::VALUE_NONE, 'Only say what emptying the shed would destroy')
            ->addOption('sign-ins', null, InputOption::VALUE_NONE, 'Only print who may sign in to the demo');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        if (true === $input->getOption('sign-ins')) {
            foreach (true === $this->shops->only()?->isDemo() ? SignIn::cases() : [] as $signIn) {
                $output->writeln(\sprintf('  %-12s %-8s %s', $this->words->outcome('role', $signIn->role()->value), $signIn->value, $signIn->password()));
            }

            return Command::SUCCESS;
        }
        $holds = $this->holds();
        if (true === $input->getOption('holds')) {
            $output->writeln(implode(', ', array_map(static fn (string $what, int $count): string => "$count $what", array_keys($holds), $holds)));

            return Command::SUCCESS;
        }
        if (true === $input->getOption('if-empty')) {
            if (array_sum($holds) > 0 || is_file($this->runDir.'/state/own')) {
                $output->writeln('The shed is somebody\'s: nothing was laid over it.');

                return Command::SUCCESS;
            }
        } elseif ($holds['shops'] > 1) {
            $output->writeln('There are other shops in this installation: the demo is not laid over them.');

            return Command::INVALID;
        } elseif (true !== $input->getOption('yes')) {
            $output->writeln('This empties the shed. Say --yes to do it.');

            return Command::INVALID;
        }
        $this->empty();
        $this->barn->fill($this->clock->now());
        $output->writeln('The demo is laid out.');

        return Command::SUCCESS;
    }

    /** @return array<string, int> what there is => how many */
    private function holds(): array
    {
        return array_map(function (string $table): int {
            $count = $this->entities->getConnection()->fetchOne('SELECT COUNT(*) FROM '.$table);

            return is_numeric($count) ? (int) $count : 0;
        }, ['jobs' => 'job', 'entries of their records' => 'entry', 'photos' => 'photo', 'traces' => 'trace', 'people' => 'member', 'shops' => 'shop']);
    }

    private function empty(): void
    {
        $connection = $this->entities->getConnection();
        $connection->executeStatement('SET FOREIGN_KEY_CHECKS = 0');
        foreach ($this->entities->getMetadataFactory()->getAllMetadata() as $entity) {
            $connection->executeStatement('TRUNCATE TABLE '.$connection->quoteSingleIdentifier($entity->getTableName()));
        }
        $connection->executeStatement('SET FOREIGN_KEY_CHECKS = 1');
        foreach ($this->photos->listContents('', true) as $file) {
            if ($file->isFile()) {
                $this->photos->delete($file->path());
            }
        }
    }
}
