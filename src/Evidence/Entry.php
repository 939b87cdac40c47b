<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence;

use AwakeShed\App\Job\Job;
use AwakeShed\Core\Carburetor\Move;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Core\Fuel\JarReading;
use AwakeShed\Core\Fuel\JarSample;
use AwakeShed\Core\Stage\Act;

/**
 * An entry as it is read: a few hundred of them make a case on every page, so they come from plain rows, and what is
 * in them is unpacked when it is asked for. {@see NewEntry} is how one is written.
 *
 * @phpstan-import-type JarArray from JarReading
 * @phpstan-import-type MoveArray from Move
 *
 * @phpstan-type Rewritten array{before: array<string, mixed>, after: array<string, mixed>}
 * @phpstan-type Packed array{jar: string|null, rewritten: string|null, worked: string|null, done: string|null, strip: string|null, as_typed: string}
 * @phpstan-type PackedEvent array{test: string|null, outcomes: string, number: float|int|null, put_right: string|null, measured: string, extras: string}
 */
final class Entry
{
    /** @var list<Finding|PutRight>|null */
    private ?array $events = null;

    /**
     * @param self|null         $target       what it corrects or takes back
     * @param bool              $struck       some later entry that is not itself struck has this one for its target
     * @param Packed            $packed
     * @param list<PackedEvent> $packedEvents
     */
    public function __construct(
        public readonly int $id,
        public readonly Job $job,
        public readonly Author $by,
        public readonly \DateTimeImmutable $at,
        public readonly EntryKind $kind,
        public readonly Source $source,
        public readonly ?self $target,
        public readonly bool $struck,
        public readonly ?JarSample $sample,
        private readonly array $packed,
        private readonly array $packedEvents,
    ) {
    }

    /** @return list<Finding|PutRight> */
    public function events(): array
    {
        return $this->events ??= array_map(self::event(...), $this->packedEvents);
    }

    public function jar(): ?JarReading
    {
        /** @var JarArray|null $jar */
        $jar = self::unpack($this->packed['jar']);

        return null === $jar ? null : JarReading::fromArray($jar);
    }

    /** @return Rewritten|null what was rewritten on the job itself */
    public function rewritten(): ?array
    {
        /** @var Rewritten|null $rewritten */
        $rewritten = self::unpack($this->packed['rewritten']);

        return $rewritten;
    }

    /** The calculation its findings come from. */
    public function worked(): ?WorkedOut
    {
        /** @var array{calculation: string, in: array<string, mixed>}|null $worked */
        $worked = self::unpack($this->packed['worked']);

        return null === $worked ? null : new WorkedOut($worked['calculation'], $worked['in']);
    }

    public function act(): ?Act
    {
        /** @var array{step: string, figures: array<string, float|int>, choice: string|null}|null $done */
        $done = self::unpack($this->packed['done']);

        return null === $done ? null : Act::fromArray($done);
    }

    public function move(): ?Move
    {
        /** @var MoveArray|null $strip */
        $strip = self::unpack($this->packed['strip']);

        return null === $strip ? null : Move::fromArray($strip);
    }

    /** @return array<string, string> field => text */
    public function asTyped(): array
    {
        /** @var array<string, string> $asTyped */
        $asTyped = self::unpack($this->packed['as_typed']);

        return $asTyped;
    }

    /** Whether it, or what it points at, declares something put right. */
    public function saysPutRight(): bool
    {
        foreach ($this->events() as $event) {
            if ($event instanceof PutRight) {
                return true;
            }
        }

        return null !== $this->target && $this->target->saysPutRight();
    }

    /** @param PackedEvent $packed */
    private static function event(array $packed): Finding|PutRight
    {
        /** @var array<string, mixed> $extras */
        $extras = self::unpack($packed['extras']);
        if (null !== $packed['put_right']) {
            return new PutRight($packed['put_right'], $extras);
        }
        $test = $packed['test'] ?? throw new \LogicException('A recorded finding is of a test or of a cure.');
        /** @var list<string> $outcomes */
        $outcomes = self::unpack($packed['outcomes']);
        $finding = [] === $outcomes
            ? Finding::number($test, $packed['number'] ?? throw new \LogicException('A finding says something.'))
            : Finding::observed($test, ...$outcomes);
        /** @var array<string, mixed> $measured */
        $measured = self::unpack($packed['measured']);

        return $finding->measuring($measured)->carrying($extras);
    }

    /** @return array<mixed>|null */
    private static function unpack(?string $packed): ?array
    {
        // Most are empty, and there are four of them to a finding.
        $unpacked = null === $packed || '[]' === $packed ? [] : json_decode($packed, true, flags: \JSON_THROW_ON_ERROR);

        return null === $packed || !\is_array($unpacked) ? null : $unpacked;
    }
}
