<?php

declare(strict_types=1);

namespace AwakeShed\Core\Spark;

use AwakeShed\Core\Units\Edge;
use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Resistance;
use AwakeShed\Core\Units\ResistanceUnit;

/**
 * A coil's winding against a known good one of the same kind (common practice). A normal reading does not clear it:
 * a winding can read well and break down under voltage; only a swap proves it.
 */
final readonly class CoilComparison
{
    private const SUSPECT_FROM = 0.15;

    private function __construct(
        /** Signed, as a share of the good one; null when the circuit is open. */
        public ?float $difference,
        private bool $isErratic,
        /** Half-width of the difference, as such a share. */
        public float $halfWidth,
    ) {
    }

    /**
     * @param Resistance      $good    the known good coil, 0.01 Ω to 1 MΩ
     * @param Resistance|null $suspect 0 Ω to 1 MΩ; null when the meter shows an open circuit
     * @param float           $error   half-width of the meter's reading as a share of it, 0 to 0.2
     *
     * @throws ImpossibleAmount when one is outside its interval
     */
    public static function against(Resistance $good, ?Resistance $suspect, Steadiness $reading = Steadiness::Steady, float $error = 0.0): self
    {
        $isErratic = Steadiness::Wanders === $reading;
        (new Interval(0.01, 1e6, ResistanceUnit::Ohm))->demand($good);
        ImpossibleAmount::unlessBetween($error, 0.0, 0.2, '');
        if (null === $suspect) {
            return new self(null, $isErratic, 0.0);
        }
        (new Interval(0.0, 1e6, ResistanceUnit::Ohm))->demand($suspect);

        $ratio = $suspect->over($good);

        // The same meter on both, each reading erring by itself.
        return new self($ratio - 1, $isErratic, \M_SQRT2 * $error * $ratio);
    }

    /** The meter's error reaches over the limit: it may be either. */
    public function isAtTheLimit(): bool
    {
        return null !== $this->difference && !$this->isErratic && abs(abs($this->difference) - self::SUSPECT_FROM) < $this->halfWidth;
    }

    public function verdict(): CoilVerdict
    {
        return match (true) {
            null === $this->difference => CoilVerdict::Open,
            $this->isErratic => CoilVerdict::Erratic,
            !Edge::isAtMost(abs($this->difference), self::SUSPECT_FROM) => CoilVerdict::Off,
            default => CoilVerdict::LikeKnownGood,
        };
    }
}
