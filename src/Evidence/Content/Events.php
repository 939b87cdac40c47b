<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence\Content;

use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\EventFormat;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\PutRight;

/** Events as they are stored: as the open case format writes them. */
final readonly class Events
{
    private function __construct()
    {
    }

    /**
     * @param list<Finding|PutRight|Done> $events
     *
     * @return list<array<string, mixed>>
     */
    public static function toArray(array $events): array
    {
        return array_map(EventFormat::toArray(...), $events);
    }

    /**
     * @param list<array<string, mixed>> $stored
     *
     * @return list<Finding|PutRight|Done>
     */
    public static function fromArray(array $stored, EventFormat $format): array
    {
        return array_map(static fn (array $one): Finding|PutRight|Done => $format->read($one) ?? throw new \LogicException('A recorded event says something.'), $stored);
    }
}
