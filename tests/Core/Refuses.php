<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core;

use AwakeShed\Core\Units\ImpossibleAmount;

/** For tests of what a piece of the core will not compute with. */
trait Refuses
{
    private static function assertRefused(\Closure ...$attempts): void
    {
        foreach ($attempts as $number => $attempt) {
            try {
                $attempt();
                self::fail("Attempt $number was computed.");
            } catch (ImpossibleAmount $refusal) {
                self::assertNotSame('', $refusal->getMessage());
            }
        }
    }
}
