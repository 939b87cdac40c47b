<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence\Content;

use AwakeShed\Core\Progress\Ask;

/**
 * Somebody goes on past what the machine's state asks, with a reason. It changes nothing of the case.
 *
 * @phpstan-type GonePastArray array{ask: string, reason: string}
 */
final readonly class GonePast implements Content
{
    /** Characters of a reason. */
    public const LONGEST = 500;

    public function __construct(public Ask $ask, public string $reason)
    {
    }

    public function kind(): ContentKind
    {
        return ContentKind::GonePast;
    }

    public function events(): array
    {
        return [];
    }

    /** @return GonePastArray */
    public function toArray(): array
    {
        return ['ask' => $this->ask->value, 'reason' => $this->reason];
    }

    /** @param GonePastArray $stored */
    public static function fromArray(array $stored): self
    {
        return new self(Ask::from($stored['ask']), $stored['reason']);
    }
}
