<?php

declare(strict_types=1);

namespace AwakeShed\App\Presentation;

use Symfony\Component\DependencyInjection\Attribute\AsDecorator;
use Symfony\Component\DependencyInjection\Attribute\AutowireDecorated;
use Twig\Loader\LoaderInterface;
use Twig\Source;

/**
 * Knows a template by its name, which says which one it is as well as its path does: a page asks some sixty times, and
 * looks on the disk for none that is compiled already (bin/bench).
 */
#[AsDecorator('twig.loader.native_filesystem')]
final readonly class TemplateKeys implements LoaderInterface
{
    public function __construct(#[AutowireDecorated] private LoaderInterface $files)
    {
    }

    public function getCacheKey(string $name): string
    {
        return $name;
    }

    public function getSourceContext(string $name): Source
    {
        return $this->files->getSourceContext($name);
    }

    public function isFresh(string $name, int $time): bool
    {
        return $this->files->isFresh($name, $time);
    }

    public function exists(string $name): bool
    {
        return $this->files->exists($name);
    }
}
