<?php

declare(strict_types=1);

namespace AwakeShed\App\Shed;

use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Progress\Progress;

/** What the shed shows of a job. */
final readonly class ShedRow
{
    public function __construct(
        public int $id,
        public MachineKind $kind,
        public string $label,
        public string $ownerName,
        public ?\DateTimeImmutable $wantedBy,
        public \DateTimeImmutable $takenInAt,
        public Progress $stand,
        public string $waitsFor,
        public ?\DateTimeImmutable $handedBackAt,
        public ?string $withWhom,
    ) {
    }

    /** @return int whole days since it was taken in, of one that went home until it did */
    public function days(\DateTimeImmutable $now): int
    {
        return max(0, (int) $this->takenInAt->diff($this->handedBackAt ?? $now)->days);
    }
}
