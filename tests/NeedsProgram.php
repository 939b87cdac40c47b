<?php

declare(strict_types=1);

namespace AwakeShed\Tests;

use PHPUnit\Framework\Assert;
use Symfony\Component\Process\ExecutableFinder;

/** For tests that ask a program outside the project: where it is missing they say so, instead of failing. */
trait NeedsProgram
{
    /** @param string $package the Debian package it comes in */
    protected static function needs(string $program, string $package): void
    {
        if (null === (new ExecutableFinder())->find($program)) {
            Assert::markTestSkipped(\sprintf('%s is missing here; as root: apt-get install %s (bin/test does it by itself).', $program, $package));
        }
    }
}
