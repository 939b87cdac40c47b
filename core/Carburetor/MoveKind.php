<?php

declare(strict_types=1);

namespace AwakeShed\Core\Carburetor;

/** What can be done at the carburetor bench and is written down. */
enum MoveKind: string
{
    /** A ledger is begun, of a carburetor type or free. */
    case Begin = 'begin';

    /** A part comes off. */
    case Off = 'off';

    /** A part of the type need not come off. */
    case StayOn = 'stay_on';

    /** Something is noted of a part that is off. */
    case Note = 'note';

    case Condition = 'condition';
    case Keep = 'keep';

    /** A part is cleaned one way. */
    case Clean = 'clean';

    /** A part, or the new one in its stead, goes back. */
    case On = 'on';

    /** A part is left off knowingly. */
    case LeaveOff = 'leave_off';

    /** A hole is sprayed, and cleaner comes out of another. */
    case Through = 'through';

    /** A hole is sprayed, or lit through, and nothing comes. */
    case Blocked = 'blocked';

    /** Holes of a passage that are counted open. */
    case Holes = 'holes';

    /** A point of the check before the covers. */
    case Check = 'check';

    /** The ledger is closed. */
    case Close = 'close';

    /**
     * @param int|null              $place of the part it is about
     * @param array<string, string> $said  by field, as it was written; which ones hangs on the kind
     * @param RemovalTemplate|null  $order of the shop's own that a ledger is begun with
     *
     * @throws ImpossibleMove when a word is none of ours
     */
    public function move(?int $place = null, array $said = [], ?RemovalTemplate $order = null): Move
    {
        $passage = $said['passage'] ?? '';

        return match ($this) {
            self::Begin => new Move\Begin($said['type'] ?? '', $order, $said['template'] ?? ''),
            self::Off => Move\TakeOff::heard($place, $said),
            self::StayOn => new Move\StayOn($said['kind'] ?? ''),
            self::Note => new Move\NotePart($place ?? 0, $said),
            self::Condition => Move\JudgeCondition::heard($place ?? 0, $said),
            self::Keep => Move\DecideFate::heard($place ?? 0, $said),
            self::Clean => Move\CleanPart::heard($place ?? 0, $said),
            self::On => new Move\PutOn($place ?? 0),
            self::LeaveOff => new Move\LeaveOff($place ?? 0, $said['reason'] ?? ''),
            self::Through => new Move\SeeThrough($passage, $said['exit'] ?? ''),
            self::Blocked => new Move\FindBlocked($passage),
            self::Holes => new Move\CountHoles($passage, $said['holes'] ?? ''),
            self::Check => new Move\PassCheck($said['check'] ?? '', $said['outcome'] ?? null),
            self::Close => new Move\CloseLedger(),
        };
    }
}
