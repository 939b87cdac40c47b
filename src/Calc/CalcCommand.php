<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc;

use AwakeShed\Core\Refusal;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/** Every calculation as JSON, so that the core can be checked from outside: exit 0 with a result, exit 2 with a line per problem. */
#[AsCommand('shed:calc', 'Computes one of the shed\'s calculations from JSON, to JSON.')]
final class CalcCommand extends Command
{
    private const FLAGS = \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_SLASHES | \JSON_UNESCAPED_UNICODE;

    /** @param iterable<Calculation> $calculations */
    public function __construct(#[AutowireIterator(Calculation::class)] private readonly iterable $calculations)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this
            ->addArgument('name', InputArgument::OPTIONAL, 'Which calculation')
            ->addOption('in', null, InputOption::VALUE_REQUIRED, 'Its inputs, a JSON object', '{}')
            ->addOption('list', null, InputOption::VALUE_NONE, 'Name every calculation')
            ->addOption('describe', null, InputOption::VALUE_NONE, 'Print the JSON Schema of its inputs');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        if (true === $input->getOption('list')) {
            foreach ($this->calculations as $calculation) {
                $output->writeln(\sprintf('%-16s %s', $calculation->name(), $calculation->about()));
            }

            return Command::SUCCESS;
        }
        $calculation = $this->named($input->getArgument('name'));
        if (null === $calculation) {
            return self::refuse($output, ['/: there is no such calculation; --list names them.']);
        }
        if (true === $input->getOption('describe')) {
            $output->writeln(json_encode(self::schema($calculation), self::FLAGS));

            return Command::SUCCESS;
        }
        $json = $input->getOption('in');

        return self::compute($calculation, \is_string($json) ? $json : '', $output);
    }

    private static function compute(Calculation $calculation, string $json, OutputInterface $output): int
    {
        try {
            $given = json_decode($json, true, 8, \JSON_THROW_ON_ERROR);
        } catch (\JsonException $malformed) {
            return self::refuse($output, ['/: not JSON: '.$malformed->getMessage().'.']);
        }
        if (!\is_array($given) || ([] !== $given && array_is_list($given))) {
            return self::refuse($output, ['/: an object is wanted.']);
        }
        $numbers = [];
        $problems = [];
        foreach ($calculation->inputs() as $name => $wanted) {
            $value = $given[$name] ?? $wanted->default;
            if (!\is_int($value) && !\is_float($value)) {
                $problems[] = \sprintf('/%s: %s', $name, null === $value ? 'missing.' : 'a number is wanted.');
            } elseif (!($value >= $wanted->least && $value <= $wanted->most)) {
                $problems[] = \sprintf('/%s: %s %s, allowed %s to %s.', $name, $value, $wanted->unit, $wanted->least, $wanted->most);
            } else {
                $numbers[$name] = (float) $value;
            }
        }
        foreach (array_keys(array_diff_key($given, $calculation->inputs())) as $unknown) {
            $problems[] = \sprintf('/%s: no input of this calculation.', $unknown);
        }
        if ([] !== $problems) {
            return self::refuse($output, $problems);
        }
        try {
            $result = $calculation->run(new CalcNumbers($numbers));
        } catch (Refusal $refusal) {
            return self::refuse($output, ['/: '.$refusal->getMessage()]);
        }
        $output->writeln(json_encode(['calculation' => $calculation->name(), 'in' => $numbers, 'out' => $result, 'source' => $calculation->source()], self::FLAGS));

        return Command::SUCCESS;
    }

    private function named(mixed $name): ?Calculation
    {
        foreach ($this->calculations as $calculation) {
            if ($calculation->name() === $name) {
                return $calculation;
            }
        }

        return null;
    }

    /** @return array<string, mixed> */
    private static function schema(Calculation $calculation): array
    {
        return [
            '$schema' => 'https://json-schema.org/draft/2020-12/schema',
            'title' => $calculation->name(),
            'description' => $calculation->about(),
            'type' => 'object',
            'properties' => array_map(static fn (CalcInput $input): array => $input->schema(), $calculation->inputs()),
            'required' => array_keys(array_filter($calculation->inputs(), static fn (CalcInput $input): bool => null === $input->default)),
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
