<?php

declare(strict_types=1);

namespace AwakeShed\App\Build;

/** Whether a build is of the sources that are there now. */
final readonly class Freshness
{
    private const MADE_OF = ['config', 'core', 'src', 'templates', 'translations'];

    /** Written by the making itself. */
    private const NOT_ASKED = ['reference.php'];

    /** False where nothing is built. */
    public static function isStale(string $project, string $environment): bool
    {
        $containers = glob("$project/var/cache/$environment/*Container.php");
        if (false === $containers || [] === $containers) {
            return false;
        }
        $built = (int) filemtime($containers[0]);
        foreach (self::MADE_OF as $folder) {
            $files = new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator("$project/$folder", \FilesystemIterator::SKIP_DOTS));
            /** @var \SplFileInfo $file */
            foreach ($files as $file) {
                if ($file->getMTime() > $built && !\in_array($file->getFilename(), self::NOT_ASKED, true)) {
                    return true;
                }
            }
        }

        return false;
    }
}
