<?php

declare(strict_types=1);

/*
 * The PHP libraries by exact version and by what is in them. Composer's own lock file is not written where this is
 * built, and would name the registry's host; this says the same without it.
 *
 *   pins.php with            the pinned versions, as arguments of "composer update"
 *   pins.php check           compares what is installed; 1 when a pinned version holds other files than it did
 *   pins.php write           writes down what is installed
 */

const PINS = __DIR__.'/../../packages/php-libraries.json';
const VENDOR = __DIR__.'/../../vendor';

/** @return array<string, array{version: string, sha256: string}> */
function installed(): array
{
    $known = [];
    /** @var array{packages: list<array{name: string, version: string, dist?: array{type?: string}, install-path: string}>} $list */
    $list = json_decode((string) file_get_contents(VENDOR.'/composer/installed.json'), true, flags: \JSON_THROW_ON_ERROR);
    foreach ($list['packages'] as $package) {
        // What lies beside the application as a path package is pinned with the monorepo it comes from.
        if ('path' !== ($package['dist']['type'] ?? '') && is_dir(VENDOR.'/composer/'.$package['install-path'])) {
            $known[$package['name']] = ['version' => $package['version'], 'sha256' => digest((string) realpath(VENDOR.'/composer/'.$package['install-path']))];
        }
    }
    ksort($known);

    return $known;
}

function digest(string $folder): string
{
    $files = [];
    /** @var SplFileInfo $file */
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($folder, FilesystemIterator::SKIP_DOTS)) as $file) {
        // Made by plugins at install, from what else is installed.
        if ($file->isFile() && !str_ends_with($file->getPathname(), '/GeneratedConfig.php')) {
            $files[substr($file->getPathname(), strlen($folder))] = hash_file('sha256', $file->getPathname());
        }
    }
    ksort($files);

    return hash('sha256', json_encode($files, \JSON_THROW_ON_ERROR));
}

/** @var array<string, array{version: string, sha256: string}> $pins */
$pins = is_file(PINS) ? json_decode((string) file_get_contents(PINS), true, flags: \JSON_THROW_ON_ERROR) : [];
switch ($argv[1] ?? '') {
    case 'with':
        foreach ($pins as $name => $pin) {
            echo '--with=', $name, ':', $pin['version'], "\n";
        }
        break;
    case 'write':
        file_put_contents(PINS, json_encode(installed(), \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_SLASHES)."\n");
        break;
    case 'check':
        $wrong = 0;
        foreach (installed() as $name => $found) {
            $pin = $pins[$name] ?? null;
            if (null === $pin || $pin['version'] !== $found['version']) {
                echo "  $name {$found['version']} is not the pinned ", $pin['version'] ?? '(none)', ": its files were not compared\n";
            } elseif ($pin['sha256'] !== $found['sha256']) {
                echo "  $name {$found['version']} holds other files than when it was pinned\n";
                ++$wrong;
            }
        }
        exit(0 === $wrong ? 0 : 1);
    default:
        fwrite(\STDERR, "usage: pins.php with|check|write\n");
        exit(2);
}
