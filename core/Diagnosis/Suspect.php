<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

/** A fault with how likely it is and what pushed it there. */
final readonly class Suspect
{
    /** So sure one is before one takes things apart to put them right (common practice). */
    public const SURE = 0.8;

    /**
     * @param float        $usual      how likely it is on any machine of its kind
     * @param float        $prior      on this one by its story alone: how long it stood, and how
     * @param list<Reason> $because    the strongest first
     * @param bool         $isLookedAt whether anything found, and not only what was said, speaks of it
     * @param bool         $isBeside   whether it is to be mended, but keeps no engine from its work
     * @param bool         $isSeen     whether somebody has looked at the fault itself
     */
    public function __construct(public string $fault, public float $probability, public float $usual, public float $prior, public array $because, public bool $isLookedAt, public bool $isBeside, public bool $isSeen)
    {
    }

    /** Whether it is any likelier than on any machine of its kind. */
    public function isRaised(): bool
    {
        return $this->probability >= 2 * $this->usual;
    }

    /** Whether findings, and not its story alone, speak for it. */
    public function isFound(): bool
    {
        return $this->probability >= 1.2 * $this->prior;
    }

    /** Whether to put it right is the next thing to do; nothing is taken apart on hearsay. */
    public function isSure(): bool
    {
        return $this->probability >= self::SURE && $this->isLookedAt && self::canPutRight($this->fault);
    }

    /** What once happened to a machine is believed and explains; nobody puts it right. */
    public static function canPutRight(string $fault): bool
    {
        return !str_starts_with($fault, 'history.');
    }
}
