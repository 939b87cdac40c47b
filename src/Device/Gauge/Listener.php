<?php

declare(strict_types=1);

namespace AwakeShed\App\Device\Gauge;

/** Whoever has connected to the stand-in, and how far it has played to them. */
final class Listener
{
    /** s: whoever does not say what they want in this time gets the usual. */
    private const WAIT = 0.3;

    private ?float $from = null;
    private int $next = 0;

    /**
     * @param resource $stream not blocking
     * @param float    $rate   readings a second
     * @param float    $speed  times as fast as they were taken
     * @param float    $since  s, when they connected
     */
    public function __construct(public readonly mixed $stream, private Scenario $scenario, private readonly float $rate, private readonly float $speed, private readonly float $since)
    {
    }

    /**
     * Reads what they want; anything that is not understood means the usual.
     *
     * @param float $now s, of the clock they connected by
     */
    public function hear(float $now): void
    {
        $line = fgets($this->stream, 500);
        if (false === $line || null !== $this->from) {
            return;
        }
        $wish = json_decode($line, true, 4);
        $play = \is_array($wish) && \is_string($wish['play'] ?? null) ? Scenario::tryFrom($wish['play']) : null;
        $this->scenario = $play ?? $this->scenario;
        $this->from = $now;
    }

    /**
     * Sends all readings that are due.
     *
     * @param float $now s, of the clock they connected by
     *
     * @return bool whether there is more to come
     */
    public function play(float $now): bool
    {
        if (feof($this->stream)) {
            fclose($this->stream);

            return false;
        }
        if (null === $this->from) {
            if ($now - $this->since < self::WAIT) {
                return true;
            }
            $this->from = $now;
        }
        $lines = '';
        while ($this->next / $this->rate <= ($now - $this->from) * $this->speed) {
            $t = $this->next / $this->rate;
            if ($t > $this->scenario->duration()) {
                fwrite($this->stream, $lines);
                fclose($this->stream);

                return false;
            }
            $lines .= json_encode(['t' => round($t, 4), 'value' => round($this->scenario->at($t), 4), 'unit' => $this->scenario->unit(), 'simulated' => true], \JSON_THROW_ON_ERROR)."\n";
            ++$this->next;
        }
        // A listener that went away is found out by the next write or the end of the stream.
        if ('' !== $lines) {
            @fwrite($this->stream, $lines);
        }

        return true;
    }
}
