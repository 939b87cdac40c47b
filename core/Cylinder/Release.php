<?php

declare(strict_types=1);

namespace AwakeShed\Core\Cylinder;

use AwakeShed\Core\Evidence\Cycle;
use AwakeShed\Core\Evidence\MachineFacts;

/** How an engine is built to be pulled over, which decides what its compression gauge can show. */
enum Release: string
{
    /** Most small four-strokes: a valve is held open while it is pulled. */
    case Fitted = 'fitted';
    case NotFitted = 'not_fitted';
    case Unknown = 'unknown';
    case TwoStroke = 'two_stroke';

    public static function forMachine(MachineFacts $machine): self
    {
        return match (true) {
            Cycle::TwoStroke === $machine->cycle => self::TwoStroke,
            null === $machine->compressionRelease => self::Unknown,
            default => $machine->compressionRelease ? self::Fitted : self::NotFitted,
        };
    }
}
