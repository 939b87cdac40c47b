<?php

declare(strict_types=1);

use Symfony\Component\Dotenv\Dotenv;

require_once dirname(__DIR__).'/vendor/autoload.php';

/*
 * The set-up step writes ports, passwords and the application secret into the run folder, which is never
 * committed. Real environment variables win, so a shop can run from its own service manager.
 */
$runFolder = $_SERVER['SHED_RUN_DIR'] ?? getenv('SHED_RUN_DIR');
$environment = (is_string($runFolder) && '' !== $runFolder ? $runFolder : dirname(__DIR__).'/run').'/env';
if (is_file($environment)) {
    (new Dotenv())->usePutenv()->load($environment);
}
