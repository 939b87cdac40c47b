<?php

declare(strict_types=1);

namespace AwakeShed\App\Device\Gauge;

use AwakeShed\Core\Units\Unit;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * A gauge behind a port: it is told in one line what is wanted, {"want":"needle","play":"slow-leak"}, and answers with
 * newline-delimited JSON, {"t":0.05,"value":3.2,"unit":"psi"}, t in seconds. `bin/console shed:gauge` is such a one, and adds "simulated":true.
 */
final readonly class NetworkGauge implements Gauge
{
    private const PATIENCE = 5;
    private const LONGEST_LINE = 500;

    public function __construct(#[Autowire('%env(SHED_GAUGE)%')] private string $address)
    {
    }

    public function read(TraceKind $kind, string $play): iterable
    {
        // The warning it gives beside its false says nothing that the exception does not.
        $stream = @stream_socket_client('tcp://'.$this->address, $code, $message, self::PATIENCE);
        if (false === $stream) {
            throw new SilentGauge(\sprintf('No gauge at %s: %s', $this->address, $message));
        }
        try {
            stream_set_timeout($stream, self::PATIENCE);
            fwrite($stream, json_encode(['want' => $kind->value, 'play' => $play], \JSON_THROW_ON_ERROR)."\n");
            while (false !== $line = fgets($stream, self::LONGEST_LINE)) {
                yield self::reading($line, $kind->units());
            }
            if (stream_get_meta_data($stream)['timed_out']) {
                throw new SilentGauge('The gauge has said nothing for five seconds.');
            }
        } finally {
            fclose($stream);
        }
    }

    /**
     * @param non-empty-list<Unit> $units
     *
     * @throws SilentGauge
     */
    private static function reading(string $line, array $units): GaugeReading
    {
        $read = json_decode($line, true, 4);
        $unit = \is_array($read) && \is_string($read['unit'] ?? null) ? strtolower($read['unit']) : '';
        foreach ($units as $known) {
            if (\in_array($unit, $known->spellings(), true) && \is_array($read) && is_numeric($read['t'] ?? null) && is_numeric($read['value'] ?? null)) {
                return new GaugeReading((float) $read['t'], $known->toSi((float) $read['value']), true === ($read['simulated'] ?? false));
            }
        }

        throw new SilentGauge('The gauge says what no gauge says.');
    }
}
