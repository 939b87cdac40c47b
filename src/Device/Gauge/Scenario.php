<?php

declare(strict_types=1);

namespace AwakeShed\App\Device\Gauge;

use AwakeShed\Core\Simulation\EngineSound;

/** What the stand-in for a gauge can play (invented; shaped as such traces look). */
enum Scenario: string
{
    private const SOUND_SECONDS = 12.0;
    private const SOUND_RATE = 11_025;

    case SoundNeedle = 'sound-needle';
    case SlowLeak = 'slow-leak';
    case Leaking = 'leaking';
    case NoPopOff = 'no-pop-off';
    case Steady = 'steady';
    case Surge = 'surge';
    case DroopUnderLoad = 'droop-under-load';
    case Overspeed = 'overspeed';
    case ColdStart = 'cold-start';

    public function kind(): TraceKind
    {
        return match ($this) {
            self::SoundNeedle, self::SlowLeak, self::Leaking, self::NoPopOff => TraceKind::Needle,
            self::Steady, self::Surge, self::DroopUnderLoad, self::Overspeed, self::ColdStart => TraceKind::Speed,
        };
    }

    /** @return list<self> */
    public static function forTrace(TraceKind $kind): array
    {
        return array_values(array_filter(self::cases(), static fn (self $scenario): bool => $scenario->kind() === $kind));
    }

    /** As gauges write it. */
    public function unit(): string
    {
        return TraceKind::Needle === $this->kind() ? 'psi' : 'rpm';
    }

    /** s, from the first reading to the last. */
    public function duration(): float
    {
        return TraceKind::Needle === $this->kind() ? 75.0 : 40.0;
    }

    /**
     * @param float $t    s since it began
     * @param int   $seed of its trembling
     *
     * @return float psi or rpm
     */
    public function at(float $t, int $seed = 1): float
    {
        // A hash of the moment: looks like noise and is the same every time.
        $noise = crc32($seed.':'.round($t, 4)) / 0xFFFFFFFF - 0.5;

        return TraceKind::Needle === $this->kind() ? max(0.0, $this->pressure($t) + 0.06 * $noise) : max(0.0, $this->speed($t) + 14 * $noise);
    }

    /**
     * What a phone beside a single-cylinder four-stroke would record of it, in a yard with some noise and wind.
     *
     * @return string a WAV file of its first seconds
     *
     * @throws \LogicException for what makes no sound
     */
    public function sound(float $seconds = self::SOUND_SECONDS): string
    {
        if (TraceKind::Speed !== $this->kind()) {
            throw new \LogicException('A needle makes no sound.');
        }
        $from = self::DroopUnderLoad === $this ? 12.0 : 0.0;

        return EngineSound::engine(self::SOUND_RATE, $seconds, fn (float $t): float => max(2.0, $this->speed($from + $t) / 120), 1)->noise(9)->wind(6)->wav(16);
    }

    private function pressure(float $t): float
    {
        $top = self::NoPopOff === $this ? 12.5 : 7.6;
        $leak = match ($this) {
            self::SlowLeak => 0.0018,
            self::Leaking => 0.02,
            default => 0.00002,
        };
        // A hand pump: strokes of half a second, each a little rise.
        $stroke = floor($t / 0.5) + min(1.0, fmod($t, 0.5) / 0.3);
        $pumped = 1.1 * $stroke;
        $popsAt = 0.5 * $top / 1.1;
        if ($t < $popsAt) {
            return min($top, $pumped);
        }
        if (self::NoPopOff === $this) {
            return $top * exp(-$leak * ($t - $popsAt));
        }
        $seated = 6.3;

        return $t < $popsAt + 0.2 ? $top - ($top - $seated) * ($t - $popsAt) / 0.2 : $seated * exp(-$leak * ($t - $popsAt - 0.2));
    }

    private function speed(float $t): float
    {
        return match ($this) {
            self::Surge => 3150 * (1 + 0.07 * sin(2 * \M_PI * $t / 1.8)),
            // No load, then a heater on the outlet, with the governor's dip.
            self::DroopUnderLoad => $t < 18 ? 3735.0 : 3590 - 160 * exp(-($t - 18) / 0.6),
            self::Overspeed => 3980.0,
            self::ColdStart => $t < 3 ? 380.0 : 3100 * (1 - exp(-($t - 3) / 0.5)) * (1 + 0.09 * exp(-$t / 9) * sin(2 * \M_PI * $t / 1.5)),
            default => 3150.0,
        };
    }
}
