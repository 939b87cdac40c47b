<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence\Content;

use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\EventFormat;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\PutRight;

/**
 * Something was seen, measured, said or cured; with the calculation it comes from, where it comes from one.
 *
 * @phpstan-type ObservedArray array{events: list<array<string, mixed>>, worked?: array{calculation: string, in: array<string, mixed>}}
 */
final readonly class Observed implements Content
{
    /** @param list<Finding|PutRight|Done> $events */
    public function __construct(private array $events, public ?WorkedOut $worked = null)
    {
    }

    public function kind(): ContentKind
    {
        return ContentKind::Observed;
    }

    public function events(): array
    {
        return $this->events;
    }

    /** @return ObservedArray */
    public function toArray(): array
    {
        return ['events' => Events::toArray($this->events)] + (null === $this->worked ? [] : ['worked' => $this->worked->toArray()]);
    }

    /** @param ObservedArray $stored */
    public static function fromArray(array $stored, EventFormat $events): self
    {
        return new self(Events::fromArray($stored['events'], $events), isset($stored['worked']) ? WorkedOut::fromArray($stored['worked']) : null);
    }
}
