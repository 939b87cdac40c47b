<?php

declare(strict_types=1);

namespace AwakeShed\App\Diagnosis;

use AwakeShed\Core\Simulation\Calibration;
use AwakeShed\Core\Simulation\Simulation;
use AwakeShed\Core\Simulation\SimulationResult;
use AwakeShed\Core\Simulation\Tally;
use AwakeShed\Core\Simulation\World;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\Console\Style\SymfonyStyle;

/** Works made-up machines by the suggestions and by other orders: minutes, tests, needless cures, and whether the odds hold. */
#[AsCommand('shed:simulate', 'Works made-up machines with hidden faults: what the suggestions are worth, and whether the odds hold.')]
final class SimulateCommand extends Command
{
    /** The bars, docs/diagnosis.md. */
    private const MOST_OF_TEXTBOOK = 0.7;
    private const MOST_CALIBRATION_ERROR = 0.05;

    /** Of one who knows what is wrong, in the world of one fault: elsewhere another fault than the one that was sought may be found first. */
    private const MOST_OF_KNOWING = 1.5;

    public function __construct(private readonly Simulation $simulation)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this
            ->addOption('cases', null, InputOption::VALUE_REQUIRED, 'How many machines are drawn', '500')
            ->addOption('seed', null, InputOption::VALUE_REQUIRED, 'The same seed draws the same machines', '1')
            ->addOption('compare-every', null, InputOption::VALUE_REQUIRED, 'Every so many machines are worked by the textbook and in any order too', '6')
            ->addOption('world', null, InputOption::VALUE_REQUIRED, 'How machines come to be as they are: '.self::worlds(), World::Model->value)
            ->addOption('whole', null, InputOption::VALUE_NONE, 'Work until nothing hinders a machine, not until the first fault that does is named')
            ->addOption('format', null, InputOption::VALUE_REQUIRED, 'text or json', 'text');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $errors = new SymfonyStyle($input, $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output);
        $numbers = [];
        foreach (['cases' => 1, 'seed' => 0, 'compare-every' => 1] as $option => $least) {
            $number = filter_var($input->getOption($option), \FILTER_VALIDATE_INT, ['options' => ['min_range' => $least]]);
            if (false === $number) {
                $errors->error(\sprintf('--%s is a whole number from %d.', $option, $least));

                return Command::INVALID;
            }
            $numbers[$option] = $number;
        }
        if (!\in_array($input->getOption('format'), ['text', 'json'], true)) {
            $errors->error('--format is text or json.');

            return Command::INVALID;
        }
        $named = $input->getOption('world');
        $world = \is_string($named) ? World::tryFrom($named) : null;
        if (null === $world) {
            $errors->error('--world is one of '.self::worlds().'.');

            return Command::INVALID;
        }
        $bar = $errors->createProgressBar($numbers['cases']);
        $result = $this->simulation->run($numbers['cases'], $numbers['seed'], $numbers['compare-every'], true === $input->getOption('whole'), $bar->setProgress(...), $world);
        $bar->finish();
        $errors->newLine(2);

        $report = [
            'world' => $world->value,
            'orders' => array_map(self::tally(...), ['suggested' => $result->suggested, 'suggested_compared' => $result->suggestedCompared, 'textbook' => $result->textbook, 'random' => $result->random, 'suggested_known' => $result->suggestedKnown, 'knowing' => $result->knowing]),
            'minutes_of_textbook' => round($result->ratioToTextbook(), 3),
            'minutes_of_random' => round($result->ratioToRandom(), 3),
            'minutes_of_knowing' => round($result->ratioToKnowing(), 3),
            'calibration' => ['every_fault' => self::calibration($result->all), 'first_fault' => self::calibration($result->first)],
            'bars' => ['most_of_textbook' => self::MOST_OF_TEXTBOOK, 'most_of_knowing' => $world->hasOneFault() ? self::MOST_OF_KNOWING : null, 'most_calibration_error' => self::MOST_CALIBRATION_ERROR, 'passed' => self::passes($result, $world)],
        ];
        'json' === $input->getOption('format')
            ? $output->writeln(json_encode($report, \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_PRESERVE_ZERO_FRACTION), OutputInterface::OUTPUT_RAW)
            : $this->write(new SymfonyStyle($input, $output), $report);

        return Command::SUCCESS;
    }

    private static function worlds(): string
    {
        return implode(', ', array_column(World::cases(), 'value'));
    }

    private static function passes(SimulationResult $result, World $world): bool
    {
        return $result->ratioToTextbook() <= self::MOST_OF_TEXTBOOK
            && (!$world->hasOneFault() || $result->ratioToKnowing() <= self::MOST_OF_KNOWING)
            && max($result->all->expectedError(), $result->first->expectedError()) <= self::MOST_CALIBRATION_ERROR;
    }

    /** @return array{machines: int, minutes: float, tests: float, needless_cures: float, found: float} */
    private static function tally(Tally $tally): array
    {
        return ['machines' => $tally->machines, 'minutes' => round($tally->meanMinutes(), 1), 'tests' => round($tally->meanTests(), 1), 'needless_cures' => round($tally->meanNeedless(), 3), 'found' => round($tally->shareFound(), 3)];
    }

    /** @return array{expected_error: float, brier: float, table: list<array{from: float, to: float, count: int, believed: float, so: float}>} */
    private static function calibration(Calibration $calibration): array
    {
        return ['expected_error' => round($calibration->expectedError(), 4), 'brier' => round($calibration->brier(), 4), 'table' => $calibration->table()];
    }

    /** @param array{world: string, orders: array<string, array{machines: int, minutes: float, tests: float, needless_cures: float, found: float}>, minutes_of_textbook: float, minutes_of_random: float, minutes_of_knowing: float, calibration: array<string, array{expected_error: float, brier: float, table: list<array{from: float, to: float, count: int, believed: float, so: float}>}>, bars: array{most_of_textbook: float, most_of_knowing: float|null, most_calibration_error: float, passed: bool}} $report */
    private function write(SymfonyStyle $style, array $report): void
    {
        $style->title('World: '.str_replace('_', ' ', $report['world']));
        $rows = [];
        foreach ($report['orders'] as $order => $tally) {
            $rows[] = [str_replace('_', ', ', $order), $tally['machines'], $tally['minutes'], $tally['tests'], $tally['needless_cures'], \sprintf('%.1f %%', 100 * $tally['found'])];
        }
        $style->table(['Order', 'Machines', 'Minutes', 'Tests', 'Needless cures', 'Found'], $rows);
        $style->text(\sprintf('Minutes by the suggestions: %.0f %% of the textbook order, %.0f %% of any order, on the same machines (bar: %.0f %% of the textbook).', 100 * $report['minutes_of_textbook'], 100 * $report['minutes_of_random'], 100 * $report['bars']['most_of_textbook']));
        $style->text(\sprintf('One who knows what is wrong and has only to show it: the suggestions take %.2f times as long%s.', $report['minutes_of_knowing'], null === $report['bars']['most_of_knowing'] ? '' : \sprintf(' (bar: %.1f times)', $report['bars']['most_of_knowing'])));
        foreach (['every_fault' => 'every fault of every machine', 'first_fault' => 'the fault believed most'] as $which => $words) {
            $calibration = $report['calibration'][$which];
            $style->section(\sprintf('Odds of %s: expected calibration error %.4f (bar %.2f), Brier score %.4f', $words, $calibration['expected_error'], $report['bars']['most_calibration_error'], $calibration['brier']));
            $style->table(['Believed', 'Count', 'Mean belief', 'So'], array_map(static fn (array $row): array => [
                \sprintf('%.0f–%.0f %%', 100 * $row['from'], 100 * $row['to']), $row['count'], \sprintf('%.1f %%', 100 * $row['believed']), \sprintf('%.1f %%', 100 * $row['so']),
            ], $calibration['table']));
        }
        $report['bars']['passed'] ? $style->success('Every bar is kept.') : $style->warning('A bar is not kept.');
    }
}
