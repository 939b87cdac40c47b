<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use Doctrine\ORM\Mapping as ORM;

/** How often a new plan was wanted, and for how many of these one was made: whoever makes one makes it for all who wait. */
#[ORM\Entity]
class PlanState
{
    public const ONLY = 1;

    #[ORM\Id, ORM\Column]
    private int $id = self::ONLY;

    #[ORM\Column]
    private int $wanted = 0;

    #[ORM\Column]
    private int $made = 0;
}
