<?php

declare(strict_types=1);

namespace AwakeShed\App;

use AwakeShed\App\Build\TableWarmer;
use AwakeShed\Core\Table;
use Symfony\Bundle\FrameworkBundle\Kernel\MicroKernelTrait;
use Symfony\Component\DependencyInjection\Compiler\CompilerPassInterface;
use Symfony\Component\DependencyInjection\ContainerBuilder;
use Symfony\Component\HttpKernel\Kernel as BaseKernel;
use Symfony\Component\Validator\Validator\ValidatorInterface;

final class Kernel extends BaseKernel implements CompilerPassInterface
{
    use MicroKernelTrait;

    public function boot(): void
    {
        if (!$this->debug && !$this->booted) {
            Table::madeIn($this->getCacheDir().TableWarmer::FOLDER);
        }
        parent::boot();
    }

    /**
     * What no bundle has a setting for: templates hand on what they write instead of catching it piece by piece, and the
     * validator, which whatever knows forms is given, is made once a form was sent that it is to look through.
     */
    public function process(ContainerBuilder $container): void
    {
        $container->getDefinition('validator')->setLazy(true)->addTag('proxy', ['interface' => ValidatorInterface::class]);
        $twig = $container->getDefinition('twig');
        $options = $twig->getArgument(1);
        \assert(\is_array($options));
        $twig->replaceArgument(1, ['use_yield' => true] + $options);
    }
}
