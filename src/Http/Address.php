<?php

declare(strict_types=1);

namespace AwakeShed\App\Http;

/** What stands in the addresses of the shed. */
final readonly class Address
{
    /** The number of a thing, as the database gave it. */
    public const NUMBER = '[1-9]\d{0,8}';

    private function __construct()
    {
    }
}
