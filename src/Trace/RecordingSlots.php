<?php

declare(strict_types=1);

namespace AwakeShed\App\Trace;

use AwakeShed\App\Account\Member;

/** How many recordings one person may run at once: each holds a worker for as long as it runs. */
final readonly class RecordingSlots
{
    public const EACH = 3;

    public function __construct(private string $runDir)
    {
    }

    /**
     * @return resource|null to be held as long as the recording runs, and let go by itself with a worker that dies; null
     *                       when all are taken
     */
    public function take(Member $member)
    {
        for ($slot = 1; $slot <= self::EACH; ++$slot) {
            $lock = fopen(\sprintf('%s/tmp/recording-%d-%d.lock', $this->runDir, $member->getId(), $slot), 'c');
            if (false !== $lock && flock($lock, \LOCK_EX | \LOCK_NB)) {
                return $lock;
            }
        }

        return null;
    }
}
