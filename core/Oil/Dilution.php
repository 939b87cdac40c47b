<?php

declare(strict_types=1);

namespace AwakeShed\Core\Oil;

use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\LengthUnit;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeUnit;

/**
 * How much of what is in a crankcase is gasoline, by volume, taking everything over the mark for gasoline (common
 * practice: an overfill with oil looks the same to a measuring jug; smell and body tell).
 */
final readonly class Dilution
{
    private function __construct(
        /** 0 to below 1, by volume. */
        public float $fraction,
        /** Half-width that the reading error leaves. */
        public float $halfWidth,
        /** What was in the crankcase in all. */
        public Volume $contents,
        /** It held less than the mark, beyond the error: the level says nothing of gasoline in it. */
        public bool $isBelowMark,
    ) {
    }

    /**
     * @param Volume      $mark    what the crankcase holds at the mark, 50 mL to 10 L
     * @param Volume      $drained what came out, 0 to 20 L
     * @param Volume|null $left    what clings inside after draining, 0 up to the mark; null where nobody measured it, {@see Clinging}
     * @param Volume      $error   half-width of the drained reading
     *
     * @throws \AwakeShed\Core\Units\ImpossibleAmount when a volume is outside its interval
     */
    public static function drained(Volume $mark, Volume $drained, ?Volume $left, Volume $error): self
    {
        self::markBounds()->demand($mark);
        (new Interval(0.0, 20_000.0, VolumeUnit::Millilitre))->demand($drained);
        (new Interval(0.0, 1_000.0, VolumeUnit::Millilitre))->demand($error);
        if (null === $left) {
            // The two err independently of each other.
            return self::ofContents($mark, $drained->plus($mark->times(Clinging::SHARE)), Volume::millilitres(hypot($error->inMillilitres(), Clinging::ERROR * $mark->inMillilitres())));
        }
        (new Interval(0.0, $mark->inMillilitres(), VolumeUnit::Millilitre))->demand($left);

        return self::ofContents($mark, $drained->plus($left), $error);
    }

    /**
     * @param Volume $mark          what the crankcase holds at the mark, 50 mL to 10 L
     * @param Length $over          height over the mark, 0 to 200 mm
     * @param Volume $perMillimetre what a millimetre of the dipstick stands for, 0.1 to 100 mL; from the spec book or two known fills
     * @param Length $error         half-width of the reading
     *
     * @throws \AwakeShed\Core\Units\ImpossibleAmount when one is outside its interval
     */
    public static function overMark(Volume $mark, Length $over, Volume $perMillimetre, Length $error): self
    {
        self::markBounds()->demand($mark);
        (new Interval(0.0, 200.0, LengthUnit::Millimetre))->demand($over);
        (new Interval(0.1, 100.0, VolumeUnit::Millilitre))->demand($perMillimetre);
        (new Interval(0.0, 50.0, LengthUnit::Millimetre))->demand($error);

        return self::ofContents($mark, $mark->plus($perMillimetre->times($over->inMillimetres())), $perMillimetre->times($error->inMillimetres()));
    }

    public function band(): DilutionBand
    {
        return DilutionBand::forFraction($this->fraction);
    }

    /** @return float the most it may be, by volume */
    public function most(): float
    {
        return min(1.0, $this->fraction + $this->halfWidth);
    }

    /** @return float the least it may be, by volume */
    public function least(): float
    {
        return max(0.0, $this->fraction - $this->halfWidth);
    }

    /** Nothing worth the name in it, however the readings err. */
    public function isClean(): bool
    {
        return 0.0 === $this->fraction && !$this->isBelowMark && DilutionBand::Watch === DilutionBand::forFraction($this->most());
    }

    /** As the stick is read: so much over the mark that nobody spilled it in. */
    public function isFarOver(): bool
    {
        return DilutionBand::ChangeFlushAndCure === $this->band();
    }

    private static function ofContents(Volume $mark, Volume $contents, Volume $error): self
    {
        if (!$contents->isGreaterThan($mark)) {
            return new self(0.0, max(0.0, $contents->plus($error)->minus($mark)->over($mark)), $contents, $contents->plus($error)->isLessThan($mark));
        }

        return new self(
            $contents->minus($mark)->over($contents),
            // The slope of (V − mark)/V is mark/V².
            $mark->over($contents) * $error->over($contents),
            $contents,
            false,
        );
    }

    private static function markBounds(): Interval
    {
        return new Interval(50.0, 10_000.0, VolumeUnit::Millilitre);
    }
}
