<?php

declare(strict_types=1);

namespace AwakeShed\Core\Simulation;

/** Made-up recordings of engines with a known speed: for trying and testing the ear without one. */
final class EngineSound
{
    /** @var array<int, float> */
    private array $samples = [];

    private function __construct(private readonly int $rate, private readonly Dice $dice)
    {
    }

    /**
     * Exhaust beats of a second or more: each a burst that rings down in the muffler, no two quite as loud or quite in time.
     *
     * @param \Closure(float): float $beat     Hz over time
     * @param non-empty-list<float>  $loudness of the firings of one cycle, in turn
     * @param float                  $ring     Hz the muffler rings at
     */
    public static function engine(int $rate, float $seconds, \Closure $beat, int $seed, array $loudness = [1.0], float $ring = 180.0): self
    {
        $sound = new self($rate, new Dice($seed));
        $sound->samples = array_fill(0, (int) ($rate * $seconds), 0.0);
        $count = \count($sound->samples);
        $length = (int) (0.035 * $rate);
        $burst = [];
        for ($n = 0; $n < $length; ++$n) {
            $t = $n / $rate;
            $burst[] = exp(-$t / 0.008) * (sin(2 * \M_PI * $ring * $t) + 0.5 * sin(2 * \M_PI * 2.7 * $ring * $t + 1));
        }
        $firing = 0;
        for ($t = $sound->between(0, 0.05); $t < $seconds; $t += 1 / $beat($t)) {
            $from = (int) round(($t + $sound->between(-0.0006, 0.0006)) * $rate);
            $loud = $loudness[$firing++ % \count($loudness)] * $sound->between(0.8, 1.2);
            foreach ($burst as $n => $value) {
                if ($from + $n >= 0 && $from + $n < $count) {
                    $sound->samples[$from + $n] += $loud * $value;
                }
            }
        }

        return $sound;
    }

    /** White noise, as loud as the engine for 0 dB. */
    public function noise(float $decibels): self
    {
        $level = $this->level() / 10 ** ($decibels / 20) * sqrt(3.0);
        foreach ($this->samples as $n => $value) {
            $this->samples[$n] = $value + $level * $this->between(-1, 1);
        }

        return $this;
    }

    /** Wind in the microphone: noise that is loudest at the bottom. */
    public function wind(float $decibels): self
    {
        $level = $this->level() / 10 ** ($decibels / 20);
        $wind = $power = 0.0;
        $gusts = [];
        foreach ($this->samples as $_) {
            $wind = 0.985 ** (8000 / $this->rate) * $wind + $this->between(-1, 1);
            $gusts[] = $wind;
            $power += $wind ** 2;
        }
        $scale = $level / sqrt($power / max(1, \count($gusts)));
        foreach ($gusts as $n => $gust) {
            $this->samples[$n] += $scale * $gust;
        }

        return $this;
    }

    /** A blade or a fan: a steady tone and its double. */
    public function hum(float $frequency, float $decibels): self
    {
        $level = $this->level() / 10 ** ($decibels / 20);
        foreach ($this->samples as $n => $value) {
            $turn = 2 * \M_PI * $frequency * $n / $this->rate;
            $this->samples[$n] = $value + $level * (1.2 * sin($turn) + 0.5 * sin(2 * $turn + 0.7));
        }

        return $this;
    }

    /** Another machine in the yard. */
    public function and(self $other, float $decibels): self
    {
        $scale = $this->level() / $other->level() / 10 ** ($decibels / 20);
        foreach ($other->samples as $n => $value) {
            if (isset($this->samples[$n])) {
                $this->samples[$n] += $scale * $value;
            }
        }

        return $this;
    }

    /** As a WAV file. */
    public function wav(int $bits, int $channels = 1): string
    {
        $most = max([1e-9, ...array_map(abs(...), $this->samples)]) * 1.05;
        $data = '';
        foreach ($this->samples as $value) {
            $one = match ($bits) {
                8 => \chr((int) round(127.5 + 127 * $value / $most)),
                16 => pack('v', (int) round(32767 * $value / $most) & 0xFFFF),
                24 => substr(pack('V', (int) round(8388607 * $value / $most) & 0xFFFFFF), 0, 3),
                default => pack('g', $value / $most),
            };
            $data .= str_repeat($one, $channels);
        }
        $width = intdiv($bits, 8) * $channels;

        return 'RIFF'.pack('V', 36 + \strlen($data)).'WAVEfmt '.pack('VvvVVvv', 16, 32 === $bits ? 3 : 1, $channels, $this->rate, $this->rate * $width, $width, $bits).'data'.pack('V', \strlen($data)).$data;
    }

    private function level(): float
    {
        return sqrt(array_sum(array_map(static fn (float $value): float => $value ** 2, $this->samples)) / \count($this->samples));
    }

    private function between(float $least, float $most): float
    {
        return $least + ($most - $least) * $this->dice->roll();
    }
}
