<?php

declare(strict_types=1);

namespace AwakeShed\App\Trace;

use AwakeShed\Core\Refusal;
use AwakeShed\Core\Sound\Firing;
use AwakeShed\Core\Sound\HeardSpeed;
use AwakeShed\Core\Sound\Tachometer;
use AwakeShed\Core\Sound\TachometerVerdict;
use AwakeShed\Core\Sound\WavFile;
use AwakeShed\Core\Trace\SpeedTrace;
use AwakeShed\Core\Units\ShaftSpeed;
use AwakeShed\Core\Units\SpeedUnit;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** The tachometer of the listening page on the command line. */
#[AsCommand('shed:hear', 'Reads an engine’s speed out of a WAV recording, as JSON.')]
final class HearCommand extends Command
{
    protected function configure(): void
    {
        $this
            ->addArgument('file', InputArgument::REQUIRED, 'The recording, as WAV')
            ->addOption('firing', null, InputOption::VALUE_REQUIRED, 'How the engine is built: '.implode(', ', array_column(Firing::cases(), 'value')), Firing::FourStrokeSingle->value)
            ->addOption('near', null, InputOption::VALUE_REQUIRED, 'What it should turn at, rpm; only chooses where two readings fit');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        [$file, $firing, $near] = [$input->getArgument('file'), $input->getOption('firing'), $input->getOption('near')];
        $firing = Firing::tryFrom(\is_string($firing) ? $firing : '');
        $bytes = \is_string($file) ? @file_get_contents($file) : false;
        $problem = match (true) {
            null === $firing => 'Wanted: --firing is one of '.implode(', ', array_column(Firing::cases(), 'value')).'.',
            false === $bytes => 'The file cannot be read. Remedy: name one that is there.',
            null !== $near && (!is_numeric($near) || $near <= 0) => 'Wanted: --near in revolutions a minute.',
            default => null,
        };
        if (null === $problem && null !== $firing && false !== $bytes) {
            try {
                $heard = Tachometer::hear(WavFile::read($bytes), $firing, null === $near ? null : ShaftSpeed::of((float) $near, SpeedUnit::Rpm));
                $output->writeln(json_encode(self::plain($heard), \JSON_PRETTY_PRINT | \JSON_THROW_ON_ERROR));

                return Command::SUCCESS;
            } catch (Refusal $refusal) {
                $problem = $refusal->getMessage();
            }
        }
        ($output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output)->writeln((string) $problem);

        return Command::INVALID;
    }

    /** @return array<string, mixed> */
    private static function plain(Tachometer $heard): array
    {
        $rpm = static fn (HeardSpeed $reading): float => round($reading->speed->in(SpeedUnit::Rpm), 1);
        $plain = ['verdict' => $heard->verdict->value, 'readings_rpm' => array_map($rpm, $heard->readings), 'confidence' => round($heard->confidence, 2)];
        if (TachometerVerdict::Told !== $heard->verdict) {
            return $plain;
        }
        $trace = SpeedTrace::fromSpeeds($heard->readings[0]->speeds);

        return $plain + [
            'rpm' => $rpm($heard->readings[0]),
            'half_width_rpm' => round($heard->error() * $rpm($heard->readings[0]), 1),
            'speed' => $trace->verdict->value,
            'swing' => round($trace->swing, 4),
            'beat_seconds' => null === $trace->beat ? null : round($trace->beat->inSeconds(), 3),
            'droop_percent' => null === $trace->droop() ? null : round($trace->droop(), 2),
        ];
    }
}
