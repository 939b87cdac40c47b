<?php

declare(strict_types=1);

namespace AwakeShed\Core\Sound;

/**
 * A recording as WAV: RIFF with linear PCM of 8, 16, 24 or 32 bits or 32-bit floats, one channel or more, 4 to 192 kHz.
 *
 * It is read in blocks and brought down at once to what an engine's beat needs, so that a minute of the finest
 * recording takes a few megabytes.
 */
final readonly class WavFile
{
    /** s */
    public const LONGEST = 60.0;

    /** Hz it is brought down to, or a little more: harmonics up to half of it are heard. */
    private const WANTED_RATE = 2000.0;

    /** Frames a second that are looked at, at the least. */
    private const TAKEN_RATE = 16_000;

    /** Samples a block, as they come out. */
    private const BLOCK = 1024;

    private const PCM = 1;
    private const FLOATS = 3;
    private const EXTENSIBLE = 0xFFFE;

    /**
     * @param string $bytes of the whole file
     *
     * @throws UnreadableSound when it is no such file, or holds less than a second of sound
     */
    public static function read(string $bytes): Sound
    {
        if (!str_starts_with($bytes, 'RIFF') || 'WAVE' !== substr($bytes, 8, 4)) {
            throw UnreadableSound::noWav();
        }
        $format = null;
        $data = null;
        $length = \strlen($bytes);
        for ($at = 12; $at + 8 <= $length && null === $data;) {
            $size = self::number('V', $bytes, $at + 4);
            $name = substr($bytes, $at, 4);
            if ('fmt ' === $name && $size >= 16 && $at + 24 <= $length) {
                $format = $at + 8;
            } elseif ('data' === $name) {
                // A recorder that was cut off leaves the size open.
                $data = [$at + 8, min($size, $length - $at - 8)];
            }
            $at += 8 + $size + $size % 2;
        }
        if (null === $format || null === $data) {
            throw UnreadableSound::noWav();
        }
        $kind = self::number('v', $bytes, $format);
        $channels = self::number('v', $bytes, $format + 2);
        $rate = self::number('V', $bytes, $format + 4);
        $bits = self::number('v', $bytes, $format + 14);
        if (self::EXTENSIBLE === $kind && $format + 26 <= $length) {
            $kind = self::number('v', $bytes, $format + 24);
        }
        if (!\in_array([$kind, $bits], [[self::PCM, 8], [self::PCM, 16], [self::PCM, 24], [self::PCM, 32], [self::FLOATS, 32]], true) || $channels < 1 || $channels > 8 || $rate < 4000 || $rate > 192_000) {
            throw UnreadableSound::format($bits, $channels, $rate);
        }

        return self::broughtDown($bytes, $data, self::FLOATS === $kind ? 0 : $bits, $channels, $rate);
    }

    /**
     * @param array{int, int} $data where its samples begin, and their bytes
     * @param int             $bits 0 for floats
     */
    private static function broughtDown(string $bytes, array $data, int $bits, int $channels, int $rate): Sound
    {
        $width = $channels * (0 === $bits ? 4 : intdiv($bits, 8));
        $frames = min(intdiv($data[1], $width), (int) (self::LONGEST * $rate));
        if ($frames < $rate) {
            throw UnreadableSound::tooShort();
        }
        // Of a fine recording every other frame, or one in a few, tells as much.
        $skip = max(1, intdiv($rate, self::TAKEN_RATE));
        $each = max(1, (int) floor($rate / $skip / self::WANTED_RATE));
        $samples = [];
        for ($done = 0, $block = self::BLOCK * $each * $skip; $done < $frames; $done += $block) {
            $values = self::unpacked(substr($bytes, $data[0] + $done * $width, min($block, $frames - $done) * $width), $bits, $channels, $skip);
            foreach (array_chunk($values, max(1, $each * $channels)) as $chunk) {
                $sum = array_sum($chunk);
                // Not a number, or beyond all numbers, is what no microphone says.
                $samples[] = is_finite($sum) ? (float) $sum : 0.0;
            }
        }

        return Sound::fromSamples($samples, $rate / $skip / $each);
    }

    /** @return array<int, int|float> in no unit: only the shape counts */
    private static function unpacked(string $block, int $bits, int $channels, int $skip): array
    {
        // Of 24 bits the upper sixteen say all that an engine's beat does; the format is little-endian, as is this machine.
        [$format, $one, $kept] = match ($bits) {
            0 => ['g*', 4, '(....)'],
            8 => ['C*', 1, '(.)'],
            16 => ['s*', 2, '(..)'],
            24 => ['s*', 3, '.(..)'],
            default => ['l*', 4, '(....)'],
        };
        if ($skip > 1 || 24 === $bits) {
            $rest = $one * $channels * ($skip - 1);
            $block = (string) preg_replace('/'.str_repeat($kept, $channels).".{0,$rest}/s", implode('', array_map(static fn (int $n): string => '$'.$n, range(1, $channels))), $block);
        }
        /** @var array<int, int|float>|false $values as the formats above have it */
        $values = unpack($format, $block);

        return false === $values ? [] : $values;
    }

    private static function number(string $format, string $bytes, int $at): int
    {
        $found = unpack($format, $bytes, $at);
        $value = false === $found ? 0 : $found[1];

        return \is_int($value) ? $value : 0;
    }
}
