<?php

declare(strict_types=1);

namespace AwakeShed\App\Cluster;

use AwakeShed\App\Account\SessionFiles;
use AwakeShed\App\Account\SessionTable;
use Doctrine\DBAL\Connection;
use Psr\Cache\CacheItemPoolInterface;
use Symfony\Component\Cache\Adapter\DoctrineDbalAdapter;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\DependencyInjection\Attribute\AutowireServiceClosure;

/** Where a web server keeps what the next request must know: files beside it, or the database where it is one of several. */
final readonly class Places
{
    /**
     * @param \Closure(): SessionFiles           $files
     * @param \Closure(): SessionTable           $table
     * @param \Closure(): CacheItemPoolInterface $limitFiles
     * @param \Closure(): Connection             $database
     */
    public function __construct(
        #[Autowire('%env(bool:SHED_SHARED)%')]
        private bool $isShared,
        #[AutowireServiceClosure(SessionFiles::class)]
        private \Closure $files,
        #[AutowireServiceClosure(SessionTable::class)]
        private \Closure $table,
        #[AutowireServiceClosure('cache.rate_limiter')]
        private \Closure $limitFiles,
        #[AutowireServiceClosure('database_connection')]
        private \Closure $database,
    ) {
    }

    public function sessions(): SessionFiles|SessionTable
    {
        return $this->isShared ? ($this->table)() : ($this->files)();
    }

    /** Of those who try too often. */
    public function limits(): CacheItemPoolInterface
    {
        return $this->isShared ? new DoctrineDbalAdapter(($this->database)()) : ($this->limitFiles)();
    }
}
