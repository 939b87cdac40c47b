<?php

declare(strict_types=1);

namespace AwakeShed\App;

use AwakeShed\App\Build\TableWarmer;
use AwakeShed\Core\Table;
use Symfony\Bundle\FrameworkBundle\Kernel\MicroKernelTrait;
use Symfony\Component\HttpKernel\Kernel as BaseKernel;

final class Kernel extends BaseKernel
{
    use MicroKernelTrait;

    public function boot(): void
    {
        if (!$this->debug && !$this->booted) {
            Table::madeIn($this->getCacheDir().TableWarmer::FOLDER);
        }
        parent::boot();
    }
}
