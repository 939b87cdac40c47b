<?php

declare(strict_types=1);

use AwakeShed\App\Kernel;
use Symfony\Component\HttpFoundation\Request;

require_once dirname(__DIR__).'/config/bootstrap.php';

$environment = $_SERVER['APP_ENV'] ?? 'prod';
$kernel = new Kernel(is_string($environment) ? $environment : 'prod', 'dev' === $environment);
$request = Request::createFromGlobals();
$response = $kernel->handle($request);
$response->send();
$kernel->terminate($request, $response);
