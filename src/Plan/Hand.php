<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use AwakeShed\App\Account\Role;

/** Somebody whose work the plan shows, read off their row. */
final readonly class Hand
{
    public function __construct(public int $id, public string $name, public Role $role, public bool $isActive)
    {
    }
}
