<?php

declare(strict_types=1);

namespace AwakeShed\App\Trace;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Once\HeldLease;
use AwakeShed\App\Once\Leases;

/** How many recordings one person may run at once: each holds a worker for as long as it runs. */
final readonly class RecordingSlots
{
    public const EACH = 3;

    /** s after which a worker that says nothing more is taken for dead. */
    private const UNHEARD = 6;

    public function __construct(private Leases $leases)
    {
    }

    /** @return HeldLease|null to be kept as long as the recording runs; null when all are taken */
    public function take(Member $member): ?HeldLease
    {
        for ($slot = 1; $slot <= self::EACH; ++$slot) {
            $lease = $this->leases->take(\sprintf('recording-%d-%d', $member->getId(), $slot), self::UNHEARD);
            if (null !== $lease) {
                return $lease;
            }
        }

        return null;
    }

    /**
     * @param bool $waits whether to wait out a worker that may have died
     *
     * @return HeldLease|null that one process alone records into the trace; null when another does
     */
    public function claim(int $trace, bool $waits = false): ?HeldLease
    {
        return $this->leases->take('trace-'.$trace, self::UNHEARD, $waits ? self::UNHEARD + 1 : 0);
    }
}
