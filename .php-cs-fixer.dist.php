<?php

declare(strict_types=1);

return (new PhpCsFixer\Config())
    ->setRiskyAllowed(true)
    ->setCacheFile(__DIR__.'/var/php-cs-fixer.cache')
    ->setRules([
        '@Symfony' => true,
        '@Symfony:risky' => true,
        '@PHP82Migration' => true,
        'declare_strict_types' => true,
        'strict_comparison' => true,
        'global_namespace_import' => false,
        'phpdoc_to_comment' => false,
        'native_function_invocation' => ['include' => ['@compiler_optimized'], 'scope' => 'namespaced', 'strict' => true],
        'php_unit_test_case_static_method_calls' => ['call_type' => 'self'],
        'trailing_comma_in_multiline' => ['elements' => ['arguments', 'arrays', 'match', 'parameters']],
    ])
    ->setFinder((new PhpCsFixer\Finder())
        // Written by the framework when it builds the container.
        ->notPath('reference.php')
        ->in([__DIR__.'/core', __DIR__.'/src', __DIR__.'/tests', __DIR__.'/config', __DIR__.'/bin', __DIR__.'/public', __DIR__.'/migrations'])
        ->append([__FILE__, __DIR__.'/bin/console']));
