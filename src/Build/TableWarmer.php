<?php

declare(strict_types=1);

namespace AwakeShed\App\Build;

use AwakeShed\Core\Diagnosis\FaultModel;
use AwakeShed\Core\Diagnosis\Sense;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Table;
use Symfony\Component\HttpKernel\CacheWarmer\CacheWarmerInterface;

/** Has the core's tables written down as PHP when a build warms the caches. */
final readonly class TableWarmer implements CacheWarmerInterface
{
    /** Below the folder of the caches. */
    public const FOLDER = '/tables';

    public function warmUp(string $cacheDir, ?string $buildDir = null): array
    {
        $folder = $cacheDir.self::FOLDER;
        if (!is_dir($folder)) {
            mkdir($folder, 0o755, true);
        }
        Table::make($folder, [FaultModel::shipped(...), static fn (): Sense => Sense::shipped(Vocabulary::shipped())]);

        return [];
    }

    /** Without it the tables are read as they are: slower, and never out of date. */
    public function isOptional(): bool
    {
        return true;
    }
}
