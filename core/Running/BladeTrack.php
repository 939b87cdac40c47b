<?php

declare(strict_types=1);

namespace AwakeShed\Core\Running;

use AwakeShed\Core\Units\Edge;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\LengthUnit;

/**
 * Whether a mower's crankshaft is straight: the same blade tip to the deck's edge on one side, turned half round, on the
 * other. More than an eighth of an inch between them is a bent shaft (common practice).
 */
final readonly class BladeTrack
{
    private const MOST_MM = 3.175;

    /** @param float $off distance between the two, mm */
    private function __construct(private float $off, private float $halfWidth)
    {
    }

    /**
     * @param Length $one   tip to edge on one side, 0 to 1000 mm
     * @param Length $other the same tip on the other
     * @param Length $error half-width of each reading, 0 to 20 mm
     *
     * @throws \AwakeShed\Core\Units\ImpossibleAmount outside that
     */
    public static function measure(Length $one, Length $other, Length $error): self
    {
        foreach ([$one, $other] as $side) {
            (new Interval(0.0, 1000.0, LengthUnit::Millimetre))->demand($side);
        }
        (new Interval(0.0, 20.0, LengthUnit::Millimetre))->demand($error);

        return new self(abs($one->inMillimetres() - $other->inMillimetres()), sqrt(2) * $error->inMillimetres());
    }

    public function offBy(): Length
    {
        return Length::millimetres($this->off);
    }

    /** @return bool|null whether it is straight; null where the readings cannot tell */
    public function isTrue(): ?bool
    {
        return match (true) {
            Edge::isAtMost($this->off + $this->halfWidth, self::MOST_MM) => true,
            !Edge::isAtMost($this->off - $this->halfWidth, self::MOST_MM) => false,
            default => null,
        };
    }
}
