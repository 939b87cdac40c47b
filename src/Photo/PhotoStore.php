<?php

declare(strict_types=1);

namespace AwakeShed\App\Photo;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Job\Job;
use Doctrine\ORM\EntityManagerInterface;
use League\Flysystem\FilesystemOperator;
use Psr\Clock\ClockInterface;
use Symfony\Component\Uid\Uuid;

/**
 * Takes in pictures and gives them out again.
 *
 * What is stored is never the file that was sent: the picture is decoded and encoded anew, so nothing rides along
 * with it, neither a script behind a picture's name nor the place it was taken.
 */
final readonly class PhotoStore
{
    /** The longer side of the full picture and of the small one, pixels. */
    private const FULL = 1600;
    private const SMALL = 320;

    /** Decoding takes 4 bytes a pixel; a phone's picture has about 12 million. */
    private const MOST_PIXELS = 40_000_000;
    private const QUALITY = 82;

    public function __construct(private FilesystemOperator $photos, private EntityManagerInterface $entities, private ClockInterface $clock)
    {
    }

    /**
     * Stores the picture's files and hands the photo to the unit of work; the caller flushes.
     *
     * @param string $path of a file somebody sent
     *
     * @throws UnusablePhoto                         when it is no JPEG, PNG or WebP picture, or too large a one
     * @throws \League\Flysystem\FilesystemException when it cannot be stored
     */
    public function add(Job $job, Member $by, string $path, ?string $gate = null): Photo
    {
        $picture = self::decode($path);
        $file = Uuid::v7()->toRfc4122().'.jpg';
        $full = self::scaled($picture, self::FULL);
        $this->photos->write(PhotoSize::Full->value.'/'.$file, self::encode($full));
        $this->photos->write(PhotoSize::Small->value.'/'.$file, self::encode(self::scaled($picture, self::SMALL)));
        $photo = new Photo($job, $file, imagesx($full), imagesy($full), $by, $this->clock->now(), $gate);
        $this->entities->persist($photo);

        return $photo;
    }

    /**
     * @return resource a stream of a JPEG picture
     *
     * @throws \League\Flysystem\FilesystemException when the file is gone
     */
    public function read(Photo $photo, PhotoSize $size)
    {
        return $this->photos->readStream($size->value.'/'.$photo->getFile());
    }

    /** @throws UnusablePhoto */
    private static function decode(string $path): \GdImage
    {
        $facts = @getimagesize($path);
        if (false === $facts || !\in_array($facts[2], [\IMAGETYPE_JPEG, \IMAGETYPE_PNG, \IMAGETYPE_WEBP], true)) {
            throw UnusablePhoto::notAPicture();
        }
        if ($facts[0] * $facts[1] > self::MOST_PIXELS) {
            throw UnusablePhoto::tooManyPixels();
        }
        $picture = @imagecreatefromstring((string) file_get_contents($path));
        if (false === $picture) {
            throw UnusablePhoto::notAPicture();
        }

        return self::upright($picture, $path, $facts[2]);
    }

    /** Phones store how they were held instead of turning the picture; the mark goes, so the picture must turn. */
    private static function upright(\GdImage $picture, string $path, int $type): \GdImage
    {
        $marks = \IMAGETYPE_JPEG === $type && \function_exists('exif_read_data') ? @exif_read_data($path) : false;
        $turn = match (\is_array($marks) ? $marks['Orientation'] ?? 1 : 1) {
            3 => 180,
            6 => 270,
            8 => 90,
            default => 0,
        };
        $turned = 0 === $turn ? $picture : imagerotate($picture, $turn, 0);

        return false === $turned ? $picture : $turned;
    }

    /** Onto white, because JPEG has no transparency. */
    private static function scaled(\GdImage $picture, int $longest): \GdImage
    {
        [$width, $height] = [imagesx($picture), imagesy($picture)];
        $factor = min(1.0, $longest / max($width, $height));
        [$newWidth, $newHeight] = [max(1, (int) round($width * $factor)), max(1, (int) round($height * $factor))];
        $scaled = imagecreatetruecolor($newWidth, $newHeight);
        if (false === $scaled) {
            throw new \RuntimeException('No memory for a picture.');
        }
        imagefill($scaled, 0, 0, (int) imagecolorallocate($scaled, 255, 255, 255));
        imagecopyresampled($scaled, $picture, 0, 0, 0, 0, $newWidth, $newHeight, $width, $height);

        return $scaled;
    }

    private static function encode(\GdImage $picture): string
    {
        ob_start();
        imagejpeg($picture, null, self::QUALITY);

        return (string) ob_get_clean();
    }
}
