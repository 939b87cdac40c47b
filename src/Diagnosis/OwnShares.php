<?php

declare(strict_types=1);

namespace AwakeShed\App\Diagnosis;

use AwakeShed\App\Belonging\CurrentShop;
use Doctrine\DBAL\Connection;
use Symfony\Contracts\Service\ResetInterface;

/** What a shop holds otherwise than it ships, off plain rows, asked once a page: most pages of a job need it, and mostly there is nothing. */
final class OwnShares implements ResetInterface
{
    /** @var array<int, array<string, float>> by shop, by path */
    private array $known = [];

    public function __construct(private readonly Connection $database, private readonly CurrentShop $shop)
    {
    }

    /** @return array<string, float> by path */
    public function all(): array
    {
        // The database may have been told whose it is without anybody else: then nothing is remembered.
        return $this->shop->isKnown() ? $this->known[$this->shop->id()] ??= $this->read() : $this->read();
    }

    /** Called, too, when they were changed. */
    public function reset(): void
    {
        $this->known = [];
    }

    /** @return array<string, float> */
    private function read(): array
    {
        /** @var array<string, float> $shares */
        $shares = $this->database->fetchAllKeyValue('SELECT path, share FROM own_odds WHERE shop_id = @shop ORDER BY path');

        return $shares;
    }
}
