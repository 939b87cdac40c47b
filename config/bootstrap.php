<?php

declare(strict_types=1);

require_once dirname(__DIR__).'/vendor/autoload.php';

/*
 * The set-up step writes ports, passwords and the application secret into the run folder, which is never
 * committed: a name, "=" and a value a line. Real environment variables win, so a shop can run from its own service
 * manager. Nothing is substituted or quoted in them, so that no library has to be asked at every request.
 */
$runFolder = $_SERVER['SHED_RUN_DIR'] ?? getenv('SHED_RUN_DIR');
$environment = @file_get_contents((is_string($runFolder) && '' !== $runFolder ? $runFolder : dirname(__DIR__).'/run').'/env');
foreach (false === $environment ? [] : explode("\n", $environment) as $line) {
    [$name, $value] = explode('=', $line, 2) + ['', ''];
    if ('' !== $name && false === getenv($name)) {
        $_ENV[$name] ??= $value;
    }
}
