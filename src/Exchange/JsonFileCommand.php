<?php

declare(strict_types=1);

namespace AwakeShed\App\Exchange;

use AwakeShed\Core\Evidence\CaseProblem;
use AwakeShed\Core\Evidence\UnreadableCase;
use AwakeShed\Core\Schedule\PlanProblem;
use AwakeShed\Core\Schedule\UnreadablePlanProblem;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** Answers a JSON file with one JSON object: exit 0; or exit 2 with a line per problem and nothing on standard output. */
abstract class JsonFileCommand extends Command
{
    /**
     * @return array<string, mixed> ready for JSON
     *
     * @throws UnreadableCase|UnreadablePlanProblem with every problem and its JSON pointer
     */
    abstract protected function answer(string $json): array;

    /** What stands for the whole document where a problem is of no place in it; its JSON pointer is the empty text. */
    protected function whole(): string
    {
        return '/';
    }

    protected function configure(): void
    {
        $this
            ->addArgument('file', InputArgument::REQUIRED, 'A file, or - for standard input')
            ->addOption('format', null, InputOption::VALUE_REQUIRED, 'Only json', 'json');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $file = $input->getArgument('file');
        $text = \is_string($file) ? @file_get_contents('-' === $file ? 'php://stdin' : $file) : false;
        if ('json' !== $input->getOption('format')) {
            return $this->refuse($output, new CaseProblem('', 'format', 'The only format is json.'));
        }
        if (false === $text) {
            return $this->refuse($output, new CaseProblem('', 'no_file', 'There is no such file, or it may not be read.'));
        }
        try {
            $answer = $this->answer($text);
        } catch (UnreadableCase|UnreadablePlanProblem $unreadable) {
            return $this->refuse($output, ...$unreadable->problems);
        }
        $output->writeln(json_encode($answer, \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_SLASHES | \JSON_UNESCAPED_UNICODE | \JSON_PRESERVE_ZERO_FRACTION), OutputInterface::OUTPUT_RAW);

        return Command::SUCCESS;
    }

    private function refuse(OutputInterface $output, CaseProblem|PlanProblem ...$problems): int
    {
        $errors = $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output;
        foreach ($problems as $problem) {
            $errors->writeln(('' === $problem->pointer ? $this->whole() : $problem->pointer).': '.$problem->message, OutputInterface::OUTPUT_RAW);
        }

        return Command::INVALID;
    }
}
