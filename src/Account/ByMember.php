<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

/** Of an entity that keeps who made it in its property $by. */
trait ByMember
{
    public function getBy(): Member
    {
        return $this->by;
    }

    public function madeBy(): string
    {
        return $this->by->getUserIdentifier();
    }
}
