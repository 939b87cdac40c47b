<?php

declare(strict_types=1);

/*
 * Links once, when php-fpm starts, instead of in every request: the classes of the warmed-up application, all of our own,
 * and of the libraries those that its container does not name, because they are asked for by name while a page is made.
 */
$preload = dirname(__DIR__).'/var/cache/prod/AwakeShed_App_KernelProdContainer.preload.php';
if (is_file($preload)) {
    require_once $preload;
    $wanted = '/\A(AwakeShed\\\\(Core|App)|Doctrine\\\\(DBAL\\\\(Types|Driver\\\\(PDO|Middleware)|Platforms\\\\(MariaDB|MySQL|AbstractMySQL))|ORM\\\\(Mapping|Query|Internal|Persisters|Proxy|Id|Utility)|Instantiator)'
        .'|Symfony\\\\Component\\\\(Form\\\\(?!Test)|OptionsResolver|PropertyAccess|Security\\\\(Core\\\\Authentication|Csrf)|Uid)|Twig\\\\(?!Test|Node|TokenParser|Profiler))/';
    /** @var array<class-string, string> $classes */
    $classes = require dirname(__DIR__).'/vendor/composer/autoload_classmap.php';
    foreach (array_keys($classes) as $class) {
        // What writes PDF builds on a library that defines constants when its file is read, which a linked class never does.
        if (1 !== preg_match($wanted, $class) || AwakeShed\App\Sheet\SheetPaper::class === $class) {
            continue;
        }
        try {
            class_exists($class);
        } catch (Throwable) {
            // It builds on something that is not installed, so that nobody can ask for it either.
        }
    }
}
