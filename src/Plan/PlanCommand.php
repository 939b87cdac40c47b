<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use AwakeShed\Core\Schedule\PlanFormat;
use AwakeShed\Core\Schedule\Planner;
use AwakeShed\Core\Schedule\ProblemFormat;
use AwakeShed\Core\Schedule\UnreadablePlanProblem;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** Plans a planning problem (docs/plan-format.md): exit 0 with one JSON object, exit 2 with a line per problem and nothing on standard output. */
#[AsCommand('shed:plan', 'Plans a planning problem: who does what when, what is late, what cannot be planned and why.')]
final class PlanCommand extends Command
{
    protected function configure(): void
    {
        $this
            ->addArgument('file', InputArgument::REQUIRED, 'A planning problem, or - for standard input')
            ->addOption('format', null, InputOption::VALUE_REQUIRED, 'Only json', 'json');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $file = $input->getArgument('file');
        $text = \is_string($file) ? @file_get_contents('-' === $file ? 'php://stdin' : $file) : false;
        try {
            if ('json' !== $input->getOption('format')) {
                throw UnreadablePlanProblem::because('The only format is json.');
            }
            if (false === $text) {
                throw UnreadablePlanProblem::because('There is no such file, or it may not be read.');
            }
            $problem = ProblemFormat::parse($text);
        } catch (UnreadablePlanProblem $unreadable) {
            $errors = $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output;
            foreach ($unreadable->problems as $one) {
                $errors->writeln(\sprintf('%s: %s', '' === $one->pointer ? '/' : $one->pointer, $one->message), OutputInterface::OUTPUT_RAW);
            }

            return Command::INVALID;
        }
        $began = hrtime(true);
        $plan = Planner::plan($problem);
        $output->writeln(json_encode(
            PlanFormat::write($plan, intdiv(hrtime(true) - $began, 1_000_000)),
            \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_SLASHES | \JSON_UNESCAPED_UNICODE,
        ), OutputInterface::OUTPUT_RAW);

        return Command::SUCCESS;
    }
}
