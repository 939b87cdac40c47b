<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use AwakeShed\Core\Progress\Progress;
use AwakeShed\Core\Schedule\Day\Piece;

/** A job as the plan shows it. */
final readonly class PlannedJob
{
    /** @param array<string, Piece> $left by kind, the pieces of work that are left on it */
    public function __construct(
        public int $id,
        public string $label,
        public string $ownerName,
        public string $ownerContact,
        public ?\DateTimeImmutable $wantedBy,
        public Progress $stand,
        public array $left,
    ) {
    }
}
