<?php

declare(strict_types=1);

/* Links the classes of the warmed-up application once, when php-fpm starts, instead of in every request. */
$preload = dirname(__DIR__).'/var/cache/prod/AwakeShed_App_KernelProdContainer.preload.php';
if (is_file($preload)) {
    require_once $preload;
}
