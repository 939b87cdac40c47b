<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence\Content;

use AwakeShed\Core\Evidence\EventFormat;

/**
 * The kinds of what an entry can say.
 *
 * @phpstan-import-type ObservedArray from Observed
 * @phpstan-import-type JarReadArray from JarRead
 * @phpstan-import-type RewrittenArray from Rewritten
 * @phpstan-import-type StepArray from StepDone
 * @phpstan-import-type BenchArray from BenchMove
 * @phpstan-import-type GonePastArray from GonePast
 * @phpstan-import-type NotedArray from Noted
 */
enum ContentKind: string
{
    case Observed = 'observed';
    case JarRead = 'jar';
    case Rewritten = 'rewritten';
    case StepDone = 'step';
    case BenchMove = 'move';
    case GonePast = 'gone_past';
    case Noted = 'noted';

    /** Of a withdrawal: what it says is that its target is taken back. */
    // no break
    case Nothing = 'nothing';

    /** @param array<string, mixed> $stored what {@see Content::toArray()} of this kind made */
    public function read(array $stored, EventFormat $events): Content
    {
        switch ($this) {
            case self::Observed:
                /** @var ObservedArray $stored */
                return Observed::fromArray($stored, $events);
            case self::JarRead:
                /** @var JarReadArray $stored */
                return JarRead::fromArray($stored, $events);
            case self::Rewritten:
                /** @var RewrittenArray $stored */
                return new Rewritten($stored['before'], $stored['after']);
            case self::StepDone:
                /** @var StepArray $stored */
                return StepDone::fromArray($stored);
            case self::BenchMove:
                /** @var BenchArray $stored */
                return BenchMove::fromArray($stored, $events);
            case self::GonePast:
                /** @var GonePastArray $stored */
                return GonePast::fromArray($stored);
            case self::Noted:
                /** @var NotedArray $stored */
                return Noted::fromArray($stored);
            case self::Nothing:
                return new Nothing();
        }
    }
}
