<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence;

use AwakeShed\App\Evidence\Content\Content;
use AwakeShed\App\Evidence\Content\ContentKind;
use AwakeShed\App\Evidence\Content\JarRead;
use AwakeShed\App\Evidence\Content\Observed;
use AwakeShed\App\Job\Job;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\EventFormat;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Core\Fuel\JarSample;

/**
 * An entry as it is read: a few hundred of them make a case on every page, so they come from plain rows, and what is
 * in them is unpacked when it is asked for. {@see NewEntry} is how one is written.
 */
final class Entry
{
    private ?Content $content = null;

    /**
     * @param self|null $target what it corrects or takes back
     * @param bool      $struck some later entry that is not itself struck has this one for its target
     * @param string    $packed JSON
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
        public readonly ContentKind $contentKind,
        private readonly string $packed,
        private readonly EventFormat $format,
    ) {
    }

    public function content(): Content
    {
        return $this->content ??= $this->contentKind->read(self::unpack($this->packed), $this->format);
    }

    /** @return list<Finding|PutRight|Done> */
    public function events(): array
    {
        return $this->content()->events();
    }

    /** Whether it is a reading of this jar. */
    public function isOfJar(JarSample $sample): bool
    {
        return ContentKind::JarRead === $this->contentKind && $this->jarRead()?->sample === $sample;
    }

    public function jarRead(): ?JarRead
    {
        $content = $this->content();

        return $content instanceof JarRead ? $content : null;
    }

    /** What it says instead, where a correction changes the findings: the rest of it as it was. */
    public function sayingInstead(Finding $corrected): ?Observed
    {
        $content = $this->content();
        $events = array_map(
            static fn (Finding|PutRight|Done $event): Finding|PutRight|Done => $event instanceof Finding && $event->test === $corrected->test ? $corrected : $event,
            $content->events(),
        );

        return \in_array($corrected, $events, true) ? new Observed($events) : null;
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

    /** @return array<string, mixed> */
    private static function unpack(string $packed): array
    {
        /** @var array<string, mixed> $unpacked */
        $unpacked = json_decode($packed, true, flags: \JSON_THROW_ON_ERROR);

        return $unpacked;
    }
}
