<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc;

use AwakeShed\App\Calc\Input\Input;
use AwakeShed\App\Calc\Input\UnreadableInput;
use AwakeShed\Core\Refusal;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Input\StreamableInputInterface;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** Every calculation as JSON, so that the core can be checked from outside: exit 0 with a result, exit 2 with a line per problem. */
#[AsCommand('shed:calc', 'Computes one of the shed\'s calculations from JSON, to JSON.')]
final class CalcCommand extends Command
{
    private const FLAGS = \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_SLASHES | \JSON_UNESCAPED_UNICODE;

    public function __construct(private readonly Calculations $calculations, private readonly CalcWords $words)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this
            ->addArgument('name', InputArgument::OPTIONAL, 'Which calculation')
            ->addOption('in', null, InputOption::VALUE_REQUIRED, 'Its inputs, a JSON object; - reads it from standard input', '{}')
            ->addOption('list', null, InputOption::VALUE_NONE, 'Name every calculation')
            ->addOption('describe', null, InputOption::VALUE_NONE, 'Print the JSON Schema of its inputs');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        if (true === $input->getOption('list')) {
            foreach ($this->calculations->all() as $calculation) {
                $output->writeln(\sprintf('%-16s %s', $calculation->name(), $this->words->about($calculation)));
            }

            return Command::SUCCESS;
        }
        $name = $input->getArgument('name');
        $calculation = \is_string($name) ? $this->calculations->named($name) : null;
        if (null === $calculation) {
            return self::refuse($output, ['/: there is no such calculation; --list names them.']);
        }
        if (true === $input->getOption('describe')) {
            $output->writeln(json_encode($this->schema($calculation), self::FLAGS));

            return Command::SUCCESS;
        }
        $json = $input->getOption('in');

        return $this->compute($calculation, match (true) {
            '-' === $json => self::standardInput($input),
            \is_string($json) => $json,
            default => '',
        }, $output);
    }

    private static function standardInput(InputInterface $input): string
    {
        $stream = $input instanceof StreamableInputInterface ? $input->getStream() : null;

        return (string) stream_get_contents($stream ?? \STDIN);
    }

    private function compute(Calculation $calculation, string $json, OutputInterface $output): int
    {
        try {
            $given = json_decode($json, true, 8, \JSON_THROW_ON_ERROR);
        } catch (\JsonException $malformed) {
            return self::refuse($output, ['/: not JSON: '.$malformed->getMessage().'.']);
        }
        if (!\is_array($given) || ([] !== $given && array_is_list($given))) {
            return self::refuse($output, ['/: an object is wanted.']);
        }
        $values = [];
        $problems = [];
        foreach ($calculation->inputs() as $name => $wanted) {
            try {
                $values[$name] = $wanted->read($given[$name] ?? null);
            } catch (UnreadableInput $unreadable) {
                $problems[] = \sprintf('/%s: %s', $name, $unreadable->getMessage());
            }
        }
        foreach (array_keys(array_diff_key($given, $calculation->inputs())) as $unknown) {
            $problems[] = \sprintf('/%s: no input of this calculation.', $unknown);
        }
        if ([] !== $problems) {
            return self::refuse($output, $problems);
        }
        try {
            $answer = $calculation->run(new Given($values));
        } catch (Refusal $refusal) {
            return self::refuse($output, ['/: '.$refusal->getMessage()]);
        }
        $in = array_map(static fn (Input $input, string $name): mixed => $input->write($values[$name] ?? null), $calculation->inputs(), array_keys($calculation->inputs()));
        $output->writeln(json_encode([
            'calculation' => $calculation->name(),
            'in' => array_combine(array_keys($calculation->inputs()), $in),
            'out' => $answer->plain(),
            'source' => $this->words->source($calculation),
        ], self::FLAGS));

        return Command::SUCCESS;
    }

    /** @return array<string, mixed> */
    private function schema(Calculation $calculation): array
    {
        $properties = [];
        foreach ($calculation->inputs() as $name => $input) {
            $properties[$name] = $input->schema($this->words->input($calculation, $name));
        }

        return [
            '$schema' => 'https://json-schema.org/draft/2020-12/schema',
            'title' => $calculation->name(),
            'description' => $this->words->about($calculation),
            'type' => 'object',
            'properties' => $properties,
            'required' => array_keys(array_filter($calculation->inputs(), static fn (Input $input): bool => $input->isRequired())),
            'additionalProperties' => false,
        ];
    }

    /** @param non-empty-list<string> $problems */
    private static function refuse(OutputInterface $output, array $problems): int
    {
        // Nothing on standard output: whoever reads it as JSON must not find words there.
        ($output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output)->writeln($problems, OutputInterface::OUTPUT_RAW);

        return Command::INVALID;
    }
}
