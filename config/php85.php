<?php

declare(strict_types=1);

/*
 * Symfony 7.4 calls one function of PHP 8.5, normally supplied by symfony/polyfill-php85, which the
 * package registry we install from does not carry. Delete this file, its composer.json entry and the
 * "replace" line when the polyfill can be required, or when PHP 8.5 is the minimum.
 */
if (!function_exists('get_error_handler')) {
    function get_error_handler(): ?callable
    {
        $handler = set_error_handler(null);
        restore_error_handler();

        return $handler;
    }
}
