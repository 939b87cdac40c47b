<?php

declare(strict_types=1);

namespace AwakeShed\App\Photo;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Job\Job;
use Doctrine\ORM\EntityManagerInterface;
use League\Flysystem\FilesystemOperator;
use Psr\Clock\ClockInterface;
use Symfony\Component\RateLimiter\RateLimiterFactoryInterface;
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
    private const MOST_BYTES = 12 * 1024 * 1024;

    /** Of one form. Each takes its time, and the form's page waits for all of them. */
    public const MOST_AT_ONCE = 20;
    private const MOST_PIXELS_AT_ONCE = 200_000_000;

    /** s: how long a form waits for the pictures of another before it is told to come again. */
    private const PATIENCE = 20;
    private const QUALITY = 82;

    public function __construct(
        private FilesystemOperator $photos,
        private EntityManagerInterface $entities,
        private ClockInterface $clock,
        private RateLimiterFactoryInterface $photoPixelsLimiter,
        private string $runDir,
    ) {
    }

    /**
     * Stores the pictures of one form, all or none, and hands the photos to the unit of work; the caller flushes.
     *
     * @param list<string> $paths of files somebody sent
     *
     * @throws UnusablePhoto                         when one is no JPEG, PNG or WebP picture, or there are too many pixels
     * @throws \League\Flysystem\FilesystemException when they cannot be stored
     */
    public function add(Job $job, Member $by, array $paths, ?string $gate = null): void
    {
        if ([] === $paths) {
            return;
        }
        if (\count($paths) > self::MOST_AT_ONCE) {
            throw UnusablePhoto::tooMany(self::MOST_AT_ONCE, \count($paths));
        }
        foreach ($paths as $path) {
            // PHP lets more through, for sound.
            if ((int) @filesize($path) > self::MOST_BYTES) {
                throw UnusablePhoto::tooLarge();
            }
        }
        // A picture's size costs by its pixels, which its header tells before any of it is decoded.
        $pixels = array_sum(array_map(self::pixels(...), $paths));
        if ($pixels > self::MOST_PIXELS_AT_ONCE) {
            throw UnusablePhoto::tooManyPixelsTogether(intdiv(self::MOST_PIXELS_AT_ONCE, 1_000_000));
        }
        if (!$this->photoPixelsLimiter->create((string) $by->getId())->consume((int) ceil($pixels / 1e6))->isAccepted()) {
            throw UnusablePhoto::tooFast();
        }
        $this->addTrusted($job, $by, $paths, $gate);
    }

    /**
     * The same for pictures that were in a shed before: they were counted then.
     *
     * @param list<string> $paths
     *
     * @throws UnusablePhoto
     * @throws \League\Flysystem\FilesystemException
     */
    public function addTrusted(Job $job, Member $by, array $paths, ?string $gate = null): void
    {
        $turn = $this->myTurn();
        $written = [];
        try {
            foreach ($paths as $path) {
                $this->store($job, $by, $path, $gate, $written);
            }
        } catch (\Throwable $failure) {
            array_map($this->photos->delete(...), $written);

            throw $failure;
        } finally {
            fclose($turn);
        }
    }

    /** Makes the small picture anew from the full one; false when that one is no picture any more. */
    public function mendSmall(string $file): bool
    {
        $full = @imagecreatefromstring($this->photos->read(PhotoSize::Full->value.'/'.$file));
        if (false === $full) {
            return false;
        }
        $this->photos->write(PhotoSize::Small->value.'/'.$file, self::encode(self::scaled($full, self::SMALL)));

        return true;
    }

    /** @param list<string> $written what lies in the store now, for whoever must take it back */
    private function store(Job $job, Member $by, string $path, ?string $gate, array &$written): void
    {
        $picture = self::decode($path);
        $file = Uuid::v7()->toRfc4122().'.jpg';
        $full = self::scaled($picture, self::FULL);
        foreach ([PhotoSize::Full->value => $full, PhotoSize::Small->value => self::scaled($picture, self::SMALL)] as $size => $scaled) {
            $written[] = "$size/$file";
            $this->photos->write("$size/$file", self::encode($scaled));
        }
        $this->entities->persist(new Photo($job, $file, imagesx($full), imagesy($full), $by, $this->clock->now(), $gate));
    }

    /**
     * Pictures are decoded one form at a time: each holds a few hundred megabytes while it is worked on.
     *
     * @return resource to be closed when it is done
     *
     * @throws UnusablePhoto
     */
    private function myTurn()
    {
        $lock = fopen($this->runDir.'/tmp/photos.lock', 'c');
        if (false === $lock) {
            throw new \RuntimeException('The run folder cannot be written to.');
        }
        $until = hrtime(true) + (int) (self::PATIENCE * 1e9);
        while (!flock($lock, \LOCK_EX | \LOCK_NB)) {
            if (hrtime(true) > $until) {
                throw UnusablePhoto::busy();
            }
            usleep(50_000);
        }

        return $lock;
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

    /**
     * @return int of the picture, by its header
     *
     * @throws UnusablePhoto
     */
    private static function pixels(string $path): int
    {
        $facts = @getimagesize($path);
        if (false === $facts || !\in_array($facts[2], [\IMAGETYPE_JPEG, \IMAGETYPE_PNG, \IMAGETYPE_WEBP], true)) {
            throw UnusablePhoto::notAPicture();
        }
        $pixels = $facts[0] * $facts[1];

        return $pixels > self::MOST_PIXELS ? throw UnusablePhoto::tooManyPixels() : $pixels;
    }

    /** @throws UnusablePhoto */
    private static function decode(string $path): \GdImage
    {
        $picture = @imagecreatefromstring((string) file_get_contents($path));
        if (false === $picture) {
            throw UnusablePhoto::notAPicture();
        }

        return self::upright($picture, $path);
    }

    /** Phones store how they were held instead of turning the picture; the mark goes, so the picture must turn. */
    private static function upright(\GdImage $picture, string $path): \GdImage
    {
        $marks = \function_exists('exif_read_data') ? @exif_read_data($path) : false;
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
