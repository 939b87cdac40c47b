<?php

declare(strict_types=1);

namespace AwakeShed\Core\Progress;

/** What a job waits for that nobody in the shed can bring about. */
enum WaitsOn: string
{
    /** The owner's word: whether to go on, and at what price. */
    case Owner = 'owner';

    /** Light to run it outdoors by. */
    case Daylight = 'daylight';

    /** The night, or the day, that it stands before it is started cold. */
    case Cold = 'cold';

    /** Whether it holds up a job that has got so far: what is done indoors needs no daylight. */
    public function holdsUp(Progress $progress): bool
    {
        return match ($this) {
            self::Owner => true,
            self::Daylight, self::Cold => \in_array($progress, [Progress::BeforeFirstRun, Progress::Proving], true),
        };
    }
}
