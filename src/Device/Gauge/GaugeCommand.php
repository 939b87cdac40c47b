<?php

declare(strict_types=1);

namespace AwakeShed\App\Device\Gauge;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** A stand-in for a gauge: plays a scenario to whoever connects, until it is stopped. */
#[AsCommand('shed:gauge', 'Plays a simulated pressure gauge or tachometer on a loopback port, as newline-delimited JSON.')]
final class GaugeCommand extends Command
{
    /** Nobody needs more hands on one stand-in. */
    private const MOST_LISTENERS = 16;

    public function __construct(#[Autowire('%env(SHED_GAUGE)%')] private readonly string $address)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this
            ->addArgument('scenario', InputArgument::OPTIONAL, 'What is played to whoever does not say what they want', Scenario::SoundNeedle->value)
            ->addOption('list', null, InputOption::VALUE_NONE, 'Name every scenario')
            ->addOption('sound', null, InputOption::VALUE_REQUIRED, 'Write what a phone would hear of the scenario to this WAV file, and play nothing')
            ->addOption('address', null, InputOption::VALUE_REQUIRED, 'Address and port to listen on; loopback only', $this->address)
            ->addOption('rate', null, InputOption::VALUE_REQUIRED, 'Readings a second, 1 to 1000', '20')
            ->addOption('speed', null, InputOption::VALUE_REQUIRED, 'How many times faster than life, 0.1 to 1000', '1');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        if (true === $input->getOption('list')) {
            foreach (Scenario::cases() as $scenario) {
                $output->writeln(\sprintf('%-18s %s, %d s', $scenario->value, $scenario->kind()->value, $scenario->duration()));
            }

            return Command::SUCCESS;
        }
        $word = $input->getArgument('scenario');
        $scenario = \is_string($word) ? Scenario::tryFrom($word) : null;
        $rate = self::number($input->getOption('rate'), 1.0, 1000.0);
        $speed = self::number($input->getOption('speed'), 0.1, 1000.0);
        $address = $input->getOption('address');
        if (null === $scenario || null === $rate || null === $speed || !\is_string($address) || 1 !== preg_match('/\A(127\.\d+\.\d+\.\d+|\[::1\]|localhost):\d+\z/', $address)) {
            $output->writeln('Wanted: a scenario (--list names them), a loopback --address such as 127.0.0.1:8422, --rate 1 to 1000, --speed 0.1 to 1000.');

            return Command::INVALID;
        }
        $file = $input->getOption('sound');
        if (\is_string($file)) {
            return $this->write($file, $scenario, $output);
        }
        $server = @stream_socket_server('tcp://'.$address, $code, $message);
        if (false === $server) {
            $output->writeln(\sprintf('Cannot listen on %s: %s. Remedy: another --address, or stop what listens there.', $address, $message));

            return Command::FAILURE;
        }
        $output->writeln(\sprintf('A gauge plays on %s, %s unless asked for another.', $address, $scenario->value));
        $this->serve($server, $scenario, $rate, $speed);
    }

    private function write(string $file, Scenario $scenario, OutputInterface $output): int
    {
        if (TraceKind::Speed !== $scenario->kind()) {
            $output->writeln('A needle makes no sound: name a scenario of an engine (--list).');

            return Command::INVALID;
        }
        if (false === @file_put_contents($file, $scenario->sound())) {
            $output->writeln(\sprintf('Cannot write %s. Remedy: another folder, or make room.', $file));

            return Command::FAILURE;
        }

        return Command::SUCCESS;
    }

    /** @param resource $server */
    private function serve($server, Scenario $usual, float $rate, float $speed): never
    {
        /** @var array<int, Listener> $listeners */
        $listeners = [];
        while (true) {
            $read = [$server, ...array_map(static fn (Listener $listener): mixed => $listener->stream, $listeners)];
            $none = null;
            // A tick a reading, so that none is late by more than one.
            stream_select($read, $none, $none, 0, (int) (1e6 / $rate / max(1.0, $speed)));
            $now = hrtime(true) / 1e9;
            foreach ($read as $ready) {
                if ($ready === $server) {
                    $stream = @stream_socket_accept($server, 0);
                    if (false !== $stream && \count($listeners) < self::MOST_LISTENERS) {
                        stream_set_blocking($stream, false);
                        $listeners[(int) $stream] = new Listener($stream, $usual, $rate, $speed, $now);
                    }
                } elseif (isset($listeners[(int) $ready])) {
                    $listeners[(int) $ready]->hear($now);
                }
            }
            $listeners = array_filter($listeners, static fn (Listener $listener): bool => $listener->play($now));
        }
    }

    private static function number(mixed $text, float $least, float $most): ?float
    {
        return is_numeric($text) && $text >= $least && $text <= $most ? (float) $text : null;
    }
}
