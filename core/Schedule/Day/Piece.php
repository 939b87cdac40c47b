<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule\Day;

/** A piece of work that is left on a job. */
final readonly class Piece
{
    /**
     * @param int  $minutes  as it is reckoned for a shop of ordinary pace
     * @param bool $isLikely it is not certain: what is found first may spare it
     */
    public function __construct(public string $kind, public int $minutes, public bool $isLikely = false)
    {
    }

    /** @return array{kind: string, minutes: int, likely: bool} */
    public function toArray(): array
    {
        return ['kind' => $this->kind, 'minutes' => $this->minutes, 'likely' => $this->isLikely];
    }

    /** @param array{kind: string, minutes: int, likely: bool} $data */
    public static function fromArray(array $data): self
    {
        return new self($data['kind'], $data['minutes'], $data['likely']);
    }
}
