<?php

declare(strict_types=1);

namespace AwakeShed\Core\Sound;

use AwakeShed\Core\StatedRefusal;

/** A file of sound that cannot be read. */
final class UnreadableSound extends StatedRefusal
{
    public static function noWav(): self
    {
        return new self('sound.no_wav', 'This is no WAV file.');
    }

    public static function format(int $bits, int $channels, int $rate): self
    {
        return new self('sound.format', \sprintf('%d bits, %d channels, %d Hz: plain PCM of 8 to 32 bits, 4 to 192 kHz, is wanted.', $bits, $channels, $rate), ['bits' => $bits, 'channels' => $channels, 'rate' => $rate]);
    }

    public static function tooLarge(int $megabytes): self
    {
        return new self('sound.too_large', \sprintf('More than %d MB.', $megabytes), ['most' => $megabytes]);
    }

    public static function tooShort(): self
    {
        return new self('sound.too_short', 'A second of sound is the least that tells.');
    }
}
