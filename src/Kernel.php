<?php

declare(strict_types=1);

namespace AwakeShed\App;

use AwakeShed\App\Build\TableWarmer;
use AwakeShed\Core\Table;
use Symfony\Bundle\FrameworkBundle\Kernel\MicroKernelTrait;
use Symfony\Component\DependencyInjection\Compiler\CompilerPassInterface;
use Symfony\Component\DependencyInjection\ContainerBuilder;
use Symfony\Component\HttpKernel\Kernel as BaseKernel;

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

    /** Templates hand on what they write instead of catching it piece by piece: the bundle has no setting for it. */
    public function process(ContainerBuilder $container): void
    {
        $twig = $container->getDefinition('twig');
        $options = $twig->getArgument(1);
        \assert(\is_array($options));
        $twig->replaceArgument(1, ['use_yield' => true] + $options);
    }
}
