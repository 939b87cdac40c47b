<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule\Day;

/** A piece of work as it is planned: the looking over, the stripping, the first run. */
final readonly class PieceKind
{
    /**
     * @param int          $minutes     typical for all of it
     * @param int|null     $each        typical for one step of it that is left; null where it is one
     * @param float        $spread      standard deviation of the natural logarithm of its time
     * @param list<string> $uses        what it takes beside hands
     * @param int|null     $atMostAfter minutes it may wait
     */
    public function __construct(
        public string $id,
        public int $minutes,
        public ?int $each,
        public float $spread,
        public Hands $hands,
        public array $uses,
        public ?int $atMostAfter,
        public bool $isBath,
        public bool $splits,
    ) {
    }
}
