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

    private const BLOCK_FRAMES = 16_384;

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
        $each = max(1, (int) floor($rate / self::WANTED_RATE));
        $samples = [];
        $sum = 0.0;
        $count = 0;
        $most = $each * $channels;
        for ($done = 0; $done < $frames; $done += self::BLOCK_FRAMES) {
            $block = substr($bytes, $data[0] + $done * $width, min(self::BLOCK_FRAMES, $frames - $done) * $width);
            foreach (self::unpacked($block, $bits) as $value) {
                $sum += $value;
                if (++$count === $most) {
                    $samples[] = $sum;
                    $sum = 0.0;
                    $count = 0;
                }
            }
        }

        return Sound::fromSamples($samples, $rate / $each);
    }

    /** @return array<int, int|float> in no unit: only the shape counts */
    private static function unpacked(string $block, int $bits): array
    {
        // Of 24 bits the upper sixteen say all that an engine's beat does; the format is little-endian.
        [$format, $block] = match ($bits) {
            0 => ['g*', $block],
            8 => ['C*', $block],
            16 => ['v*', $block],
            24 => ['v*', (string) preg_replace('/.(..)/s', '$1', $block)],
            default => ['V*', $block],
        };
        /** @var array<int, int|float>|false $values as the formats above have it */
        $values = unpack($format, $block);
        if (false === $values) {
            return [];
        }
        [$half, $full] = match ($bits) {
            16, 24 => [0x8000, 0x10000],
            32 => [0x80000000, 0x100000000],
            default => [\PHP_INT_MAX, 0],
        };
        foreach ($values as $index => $value) {
            // Not a number compares as false with everything.
            if (!($value < $half)) {
                $values[$index] = 0 === $full ? 0 : $value - $full;
            }
        }

        return $values;
    }

    private static function number(string $format, string $bytes, int $at): int
    {
        $found = unpack($format, $bytes, $at);
        $value = false === $found ? 0 : $found[1];

        return \is_int($value) ? $value : 0;
    }
}
