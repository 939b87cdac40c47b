<?php

declare(strict_types=1);

namespace AwakeShed\App\Photo;

use AwakeShed\Core\StatedRefusal;

/** A file that is no picture we can store, whatever its name says. */
final class UnusablePhoto extends StatedRefusal
{
    public static function notAPicture(): self
    {
        return new self('photo.not_a_picture', 'The file is not a JPEG, PNG or WebP picture.');
    }

    public static function tooManyPixels(): self
    {
        return new self('photo.too_many_pixels', 'The picture has more than 40 million pixels.');
    }

    public static function tooLarge(): self
    {
        return new self('photo.too_large', 'The picture is larger than 12 MB.');
    }

    public static function tooMany(int $most, int $sent): self
    {
        return new self('photo.too_many', \sprintf('%d pictures at once; %d at most.', $sent, $most), ['most' => $most, 'sent' => $sent]);
    }

    /** @param int $most megapixels */
    public static function tooManyPixelsTogether(int $most): self
    {
        return new self('photo.too_many_pixels_together', \sprintf('The pictures have more than %d million pixels together.', $most), ['most' => $most]);
    }

    public static function tooFast(): self
    {
        return new self('photo.too_fast', 'One person sent more pictures than are worked off in a few minutes.');
    }

    public static function busy(): self
    {
        return new self('photo.busy', 'The pictures of others are being worked on.');
    }
}
