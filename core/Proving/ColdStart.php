<?php

declare(strict_types=1);

namespace AwakeShed\Core\Proving;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Finding;

/** Whether a machine has started from cold as the shop wants it before it goes home. */
final readonly class ColdStart
{
    /** @param Attempt|null $last the last that was cold; null where there was none */
    private function __construct(public HouseStandard $standard, public bool $isMet, public ?Attempt $last)
    {
    }

    /**
     * @param int $since the place among the events after which it counts: the last work on the engine
     *
     * @return self|null null where the shop asks for none
     */
    public static function of(CaseFile $case, int $since): ?self
    {
        $standard = HouseStandard::followed($case->schools);
        if (null === $standard) {
            return null;
        }
        $last = null;
        foreach ($case->events as $place => $event) {
            $attempt = $place > $since && $event instanceof Finding ? Attempt::fromFinding($event) : null;
            $last = null !== $attempt && $standard->isCold($attempt) ? $attempt : $last;
        }

        return new self($standard, null !== $last && $standard->isMetBy($last), $last);
    }
}
