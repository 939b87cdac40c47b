<?php

declare(strict_types=1);

namespace AwakeShed\App\Belonging;

use Doctrine\Bundle\DoctrineBundle\Attribute\AsMiddleware;
use Doctrine\DBAL\Driver;
use Doctrine\DBAL\Driver\Connection;
use Doctrine\DBAL\Driver\Middleware;
use Doctrine\DBAL\Driver\Middleware\AbstractDriverMiddleware;

/** A connection that outlived the request before is nobody's again: its variable would still name the last one's shop. */
#[AsMiddleware]
final readonly class NobodysConnection implements Middleware
{
    public function wrap(Driver $driver): Driver
    {
        return new class($driver) extends AbstractDriverMiddleware {
            public function connect(array $params): Connection
            {
                $connection = parent::connect($params);
                $options = $params['driverOptions'] ?? [];
                if ((bool) ($options[\PDO::ATTR_PERSISTENT] ?? false)) {
                    $connection->exec('SET @shop = NULL');
                }

                return $connection;
            }
        };
    }
}
