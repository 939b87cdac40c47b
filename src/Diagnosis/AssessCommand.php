<?php

declare(strict_types=1);

namespace AwakeShed\App\Diagnosis;

use AwakeShed\App\Exchange\CaseFiles;
use AwakeShed\Core\Diagnosis\Assessor;
use AwakeShed\Core\Evidence\CaseProblem;
use AwakeShed\Core\Evidence\UnreadableCase;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** Assesses a case file (docs/case-format.md): exit 0 with one JSON object, exit 2 with a line per problem and nothing on standard output. */
#[AsCommand('shed:assess', 'Assesses a case file: likely faults, next tests, what is closed, where the story does not hold.')]
final class AssessCommand extends Command
{
    public function __construct(private readonly CaseFiles $files, private readonly Assessor $assessor, private readonly AssessmentFormat $format)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this
            ->addArgument('file', InputArgument::REQUIRED, 'A case file, or - for standard input')
            ->addOption('format', null, InputOption::VALUE_REQUIRED, 'Only json', 'json');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $file = $input->getArgument('file');
        $text = \is_string($file) ? @file_get_contents('-' === $file ? 'php://stdin' : $file) : false;
        try {
            if ('json' !== $input->getOption('format')) {
                throw new UnreadableCase([new CaseProblem('', 'assess.format', 'The only format is json.')]);
            }
            if (false === $text) {
                throw new UnreadableCase([new CaseProblem('', 'assess.no_file', 'There is no such file, or it may not be read.')]);
            }
            $case = $this->files->parse($text);
        } catch (UnreadableCase $unreadable) {
            $errors = $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output;
            foreach ($unreadable->problems as $problem) {
                $errors->writeln(\sprintf('%s: %s', '' === $problem->pointer ? '/' : $problem->pointer, $problem->message), OutputInterface::OUTPUT_RAW);
            }

            return Command::INVALID;
        }
        $output->writeln(json_encode(
            $this->format->write($case, $this->assessor->assess($case)),
            \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_SLASHES | \JSON_UNESCAPED_UNICODE | \JSON_PRESERVE_ZERO_FRACTION,
        ), OutputInterface::OUTPUT_RAW);

        return Command::SUCCESS;
    }
}
