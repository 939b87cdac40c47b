<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence\Content;

use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\EventFormat;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Core\Fuel\JarReading;
use AwakeShed\Core\Fuel\JarSample;

/**
 * All that was read of a jar when this was recorded, with what it says in the vocabulary's words.
 *
 * @phpstan-import-type JarArray from JarReading
 *
 * @phpstan-type JarReadArray array{sample: string, jar: JarArray, as_typed: array<string, string>, events: list<array<string, mixed>>}
 */
final readonly class JarRead implements Content
{
    /**
     * @param list<Finding|PutRight|Done> $events
     * @param array<string, string>       $asTyped field => text
     */
    public function __construct(public JarSample $sample, public JarReading $jar, private array $events, public array $asTyped = [])
    {
    }

    public function kind(): ContentKind
    {
        return ContentKind::JarRead;
    }

    public function events(): array
    {
        return $this->events;
    }

    /** @return JarReadArray */
    public function toArray(): array
    {
        return ['sample' => $this->sample->value, 'jar' => $this->jar->toArray(), 'as_typed' => $this->asTyped, 'events' => Events::toArray($this->events)];
    }

    /** @param JarReadArray $stored */
    public static function fromArray(array $stored, EventFormat $events): self
    {
        return new self(JarSample::from($stored['sample']), JarReading::fromArray($stored['jar']), Events::fromArray($stored['events'], $events), $stored['as_typed']);
    }
}
