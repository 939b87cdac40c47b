<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc\Input;

/** An input given on the command line that cannot be taken; for programs, so in plain English. */
final class UnreadableInput extends \InvalidArgumentException
{
}
