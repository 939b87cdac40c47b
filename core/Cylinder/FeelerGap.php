<?php

declare(strict_types=1);

namespace AwakeShed\Core\Cylinder;

use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\LengthUnit;

/** A gap read with a feeler, against the spec book or, where that is silent, the trade's usual range. */
final readonly class FeelerGap
{
    private function __construct(
        public Length $measured,
        /** Null where only the other end is known. */
        public ?Length $least,
        public ?Length $most,
        /** The range is the trade's usual one, not this engine's. */
        public bool $isUnverified,
    ) {
    }

    /**
     * @param Length      $measured 0 to 5 mm
     * @param Length|null $least    of the spec book; with neither end the trade's usual range is taken, with one that end alone
     * @param Length|null $most     of the spec book, at least the least
     *
     * @throws ImpossibleAmount when one is outside its interval
     */
    public static function read(Gap $gap, Length $measured, ?Length $least = null, ?Length $most = null): self
    {
        $bounds = new Interval(0.0, 5.0, LengthUnit::Millimetre);
        $bounds->demand($measured);
        if (null === $least && null === $most) {
            [$from, $to] = $gap->usual();

            return new self($measured, Length::millimetres($from), Length::millimetres($to), true);
        }
        if (null !== $least) {
            $bounds->demand($least);
        }
        if (null !== $most) {
            (new Interval($least?->inMillimetres() ?? 0.0, 5.0, LengthUnit::Millimetre))->demand($most);
        }

        return new self($measured, $least, $most, false);
    }

    public function fit(): GapFit
    {
        // A blade that is as thick as the limit fits it; the last digit of a conversion must not say otherwise.
        $slack = 1e-6;

        return match (true) {
            null !== $this->least && $this->measured->inMillimetres() < $this->least->inMillimetres() - $slack => GapFit::Tight,
            null !== $this->most && $this->measured->inMillimetres() > $this->most->inMillimetres() + $slack => GapFit::Wide,
            null === $this->least || null === $this->most => GapFit::HalfKnown,
            default => GapFit::Fits,
        };
    }

    /** What brings it to the middle of the range; negative closes it. Null where the range is not known whole. */
    public function toMiddle(): ?Length
    {
        return null === $this->least || null === $this->most ? null : $this->least->plus($this->most)->times(0.5)->minus($this->measured);
    }
}
