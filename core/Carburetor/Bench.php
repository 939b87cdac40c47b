<?php

declare(strict_types=1);

namespace AwakeShed\Core\Carburetor;

/** What is taken apart in order, onto a mat of its own. */
enum Bench: string
{
    case Carburetor = 'carburetor';

    /** Covers, shroud, tank, recoil, brackets, valve cover: whatever has to come off to get at something. */
    case Teardown = 'teardown';

    public function other(): self
    {
        return self::Carburetor === $this ? self::Teardown : self::Carburetor;
    }
}
