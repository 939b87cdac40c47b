<?php

declare(strict_types=1);

// Serves the shed in the made-up language of config/packages/pseudo.yaml, for the browser tests: php -S … tests/browser/pseudo.php
$path = (string) parse_url((string) $_SERVER['REQUEST_URI'], \PHP_URL_PATH);
if (is_file(dirname(__DIR__, 2).'/public'.$path) && str_starts_with($path, '/assets/')) {
    return false;
}
$_SERVER['APP_ENV'] = 'pseudo';
require dirname(__DIR__, 2).'/public/index.php';
