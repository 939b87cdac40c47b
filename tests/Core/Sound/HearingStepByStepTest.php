<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Sound;

use AwakeShed\Core\Simulation\EngineSound;
use AwakeShed\Core\Sound\Beat;
use AwakeShed\Core\Sound\BeatTrack;
use AwakeShed\Core\Sound\Combs;
use AwakeShed\Core\Sound\Firing;
use AwakeShed\Core\Sound\HeardSpeed;
use AwakeShed\Core\Sound\Sound;
use AwakeShed\Core\Sound\Spectrum;
use AwakeShed\Core\Sound\Tachometer;
use AwakeShed\Core\Sound\WavFile;
use AwakeShed\Core\Units\ShaftSpeed;
use AwakeShed\Core\Units\SpeedUnit;
use AwakeShed\Tests\Kept;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * What each step from a recording to a speed comes to, kept in tests/Core/Kept: a slip in a step often leaves the speed as it
 * was, because the next step makes good for it, until the sound is a harder one.
 */
final class HearingStepByStepTest extends TestCase
{
    private const RATE = 2000.0;

    /** @param \Closure(float): float $at by s */
    private static function made(float $seconds, \Closure $at): Sound
    {
        return Sound::fromSamples(array_map(static fn (int $n): float => $at($n / self::RATE), range(0, (int) ($seconds * self::RATE) - 1)), self::RATE);
    }

    /** @return array<string, Sound> */
    private static function sounds(): array
    {
        $engine = static fn (float $beat, float $seconds, int $seed, float $ring = 180.0): EngineSound => EngineSound::engine(8000, $seconds, static fn (): float => $beat, $seed, ring: $ring);
        $pair = static fn (float $one, float $other, int $seed): Sound => WavFile::read($engine($one, 2.5, $seed)->and($engine($other, 2.5, $seed + 10, 250), 0)->wav(16));
        $read = static fn (EngineSound $sound): Sound => WavFile::read($sound->wav(16));
        $made = self::made(...);
        $tone = static fn (float $frequency, float $t): float => sin(2 * \M_PI * $frequency * $t);

        return [
            'an engine at 12 beats' => $read($engine(12, 3, 1)),
            'an engine at 25.3 beats' => $read($engine(25.3, 3, 2, 240)),
            'an engine at 61 beats, humming' => $read($engine(61, 3, 3, 150)->hum(137, 2)),
            'an engine at 118 beats in noise' => $read($engine(118, 3, 4, 320)->noise(1)),
            'an engine at 31 beats in the wind' => $read($engine(31, 3, 5)->wind(-3)),
            'one at 28 beats and one at 41' => $read($engine(28, 3, 6)->and($engine(41, 3, 7), 1)),
            'one at 22 beats and a far one at 57' => $read($engine(22, 3, 8)->and($engine(57, 3, 9), 14)),
            'one at 25 beats and one at 33.3' => $pair(25, 33.3, 31),
            'one at 30 beats and one at 41.5' => $pair(30, 41.5, 32),
            'one at 20 beats and one at 47' => $pair(20, 47, 33),
            'one at 36 beats and one at 45' => $pair(36, 45, 34),
            'a quick one at 90 beats and one at 32' => $pair(90, 32, 35),
            'a hunt' => $read(EngineSound::engine(8000, 4, static fn (float $t): float => 27 * (1 + 0.07 * sin(2 * \M_PI * $t / 0.9)), 10)),
            'one that speeds up' => $read(EngineSound::engine(8000, 4, static fn (float $t): float => 20 + 6 * $t, 11)),
            'two cylinders, one weaker' => $read(EngineSound::engine(8000, 3, static fn (): float => 44.0, 12, [1.0, 0.6])),
            'three firings, one missing' => $read(EngineSound::engine(8000, 3, static fn (): float => 48.0, 13, [1.0, 0.9, 0.1])),
            'noise' => $read($engine(30, 3, 14)->noise(-40)),
            'half a minute' => $read(EngineSound::engine(4000, 32, static fn (): float => 15.5, 15)->noise(4)),
            'a second' => $read($engine(33, 1, 16)),
            'a tone on a place' => $made(2, static fn (float $t): float => $tone(62.5, $t)),
            'a tone between two places' => $made(2, static fn (float $t): float => $tone(100.2, $t) + 0.01 * $tone(7, $t)),
            'two tones an octave apart' => $made(2, static fn (float $t): float => $tone(60, $t) + 0.7 * $tone(120, $t)),
            'five tones that are no comb' => $made(2, static fn (float $t): float => $tone(43, $t) + $tone(71, $t) + $tone(113, $t) + $tone(211, $t) + $tone(307, $t)),
            'a comb of eight tones' => $made(3, static fn (float $t): float => array_sum(array_map(static fn (int $k): float => $tone(19.5 * $k, $t) / $k, range(1, 8)))),
            'a comb and two hums' => $made(3, static fn (float $t): float => array_sum(array_map(static fn (int $k): float => $tone(23 * $k, $t) / sqrt($k), range(1, 12))) + 6 * $tone(61, $t) + 4 * $tone(333, $t)),
            'the slowest' => $made(4, static fn (float $t): float => array_sum(array_map(static fn (int $k): float => $tone(5.1 * $k, $t), range(1, 40)))),
            'the quickest' => $made(2, static fn (float $t): float => $tone(249, $t) + 0.8 * $tone(498, $t) + 0.6 * $tone(747, $t)),
        ];
    }

    /** @return iterable<string, array{\Closure(): iterable<string>}> */
    public static function steps(): iterable
    {
        yield 'spectra' => [static function (): iterable {
            foreach ([4, 6, 11] as $bits) {
                $spectrum = Spectrum::ofSize($bits);
                $samples = array_map(static fn (int $n): float => sin(0.7 * $n) + 0.3 * cos(2.1 * $n) + 0.01 * $n, range(0, 2 * $spectrum->size));
                [$one, $other] = $spectrum->powers($samples, 3, $spectrum->size + 9);
                yield "$spectrum->size samples: ".Kept::summed($one).'; and the other: '.Kept::summed($other);
            }
            foreach ([[0.9, 2048], [1000 / 1024, 2048], [3.1, 512]] as [$width, $size]) {
                $combs = Combs::over($width, $size);
                yield "combs over places of $width Hz: ".Kept::summed($combs->beats)
                    .'; a slope: '.Kept::summed($combs->scored(array_map(static fn (int $n): float => 1 / (1 + $n), range(0, intdiv($size, 2) - 1)), []))
                    .'; spikes: '.Kept::summed($combs->scored(array_map(static fn (int $n): float => 0 === $n % 23 ? 9.0 : 0.2 + 0.1 * ($n % 5), range(0, intdiv($size, 2) - 1)), [46, 47, 48]));
            }
            yield 'half, twice, a third, thrice: '.implode(' ', array_map(Combs::steps(...), [0.5, 2.0, 1 / 3, 3.0]));
            yield 'related: '.implode(' ', array_filter(range(0, 300), Combs::isRelated(...)));
        }];
        yield 'hearing' => [static function (): iterable {
            foreach (self::sounds() as $name => $sound) {
                $beat = Beat::of($sound);
                yield "$name, ".Kept::figure($sound->duration()).' s of '.Kept::summed($sound->samples);
                yield '  at '.Kept::summed($beat->times).'; beats '.Kept::summed($beat->beats).'; stand out '.Kept::figure($beat->strength)
                    .', '.implode(', ', array_map(static fn (string $which, float $strength): string => "$which ".Kept::figure($strength), array_keys($beat->octaves), $beat->octaves));
                yield '  another '.Kept::summed($beat->rivals).', as loud as '.Kept::figure($beat->loudness).'; hums '.implode(' ', array_map(Kept::figure(...), $beat->hums));
                foreach ([[], $beat->hums] as $hums) {
                    $track = BeatTrack::of($sound, $beat, $hums);
                    yield '  followed for '.Kept::figure($track->share()).', mean '.Kept::figure($track->mean()).'; at '.Kept::summed($track->times).': '.Kept::summed($track->beats);
                    if ([] === $beat->hums) {
                        break;
                    }
                }
            }
        }];
        yield 'hints' => [static function (): iterable {
            $twin = WavFile::read(EngineSound::engine(8000, 2, static fn (): float => 30.0, 5, [1.0, 0.93])->noise(3)->wav(16));
            foreach ([1200, 1255, 1275, 1400, 2310, 2360, 2500, 2540, 2800, 4670, 4690] as $near) {
                $heard = Tachometer::hear($twin, Firing::FourStrokeTwin, ShaftSpeed::of($near, SpeedUnit::Rpm));
                yield "near $near: {$heard->verdict->value}, ".implode(' or ', array_map(static fn (HeardSpeed $one): string => Kept::figure($one->speed->in(SpeedUnit::Rpm)), $heard->readings));
            }
            foreach ([4.9, 5.02, 9.9, 10.1] as $beat) {
                $slow = WavFile::read(EngineSound::engine(8000, 6, static fn (): float => $beat, 3, ring: 120)->wav(16));
                $heard = Tachometer::hear($slow, Firing::TwoStrokeSingle);
                yield "$beat beats: {$heard->verdict->value}, sure ".Kept::figure($heard->confidence).', '.implode(' or ', array_map(static fn (HeardSpeed $one): string => Kept::figure($one->speed->in(SpeedUnit::Rpm)), $heard->readings));
            }
        }];
        yield 'recordings' => [static function (): iterable {
            foreach ([4000, 7999, 8000, 11_025, 15_999, 16_000, 31_999, 32_000, 44_100, 48_000, 96_000, 192_000] as $rate) {
                foreach ([[8, 1], [16, 2], [24, 3], [32, 1]] as [$bits, $channels]) {
                    $sound = WavFile::read(EngineSound::engine($rate, 1.01, static fn (): float => 40.0, 2)->wav($bits, $channels));
                    yield "$rate Hz, $bits bits, $channels channels: ".Kept::figure($sound->rate).' Hz, '.Kept::summed($sound->samples);
                }
            }
            $long = WavFile::read(EngineSound::engine(4000, 61, static fn (): float => 9.0, 2)->wav(8));
            yield 'more than a minute: '.Kept::figure($long->duration()).' s';
        }];
    }

    /** @param \Closure(): iterable<string> $steps */
    #[DataProvider('steps')]
    public function testEachStepComesToWhatItCame(\Closure $steps): void
    {
        Kept::is(\dirname(__DIR__)."/Kept/sound-{$this->dataName()}.txt", $steps());
    }
}
