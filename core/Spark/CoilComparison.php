<?php

declare(strict_types=1);

namespace AwakeShed\Core\Spark;

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
    ) {
    }

    /**
     * @param Resistance      $good    the known good coil, 0.01 Ω to 1 MΩ
     * @param Resistance|null $suspect 0 Ω to 1 MΩ; null when the meter shows an open circuit
     *
     * @throws ImpossibleAmount when one is outside its interval
     */
    public static function against(Resistance $good, ?Resistance $suspect, Steadiness $reading = Steadiness::Steady): self
    {
        $isErratic = Steadiness::Wanders === $reading;
        (new Interval(0.01, 1e6, ResistanceUnit::Ohm))->demand($good);
        if (null === $suspect) {
            return new self(null, $isErratic);
        }
        (new Interval(0.0, 1e6, ResistanceUnit::Ohm))->demand($suspect);

        return new self($suspect->over($good) - 1, $isErratic);
    }

    public function verdict(): CoilVerdict
    {
        return match (true) {
            null === $this->difference => CoilVerdict::Open,
            $this->isErratic => CoilVerdict::Erratic,
            abs($this->difference) > self::SUSPECT_FROM + 1e-9 => CoilVerdict::Off,
            default => CoilVerdict::LikeKnownGood,
        };
    }
}
