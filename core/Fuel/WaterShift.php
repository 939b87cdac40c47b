<?php

declare(strict_types=1);

namespace AwakeShed\Core\Fuel;

use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Temperature;
use AwakeShed\Core\Units\TemperatureUnit;
use AwakeShed\Core\Units\Volume;
use AwakeShed\Core\Units\VolumeUnit;

/**
 * The water-shift test: fuel and water shaken in a graduated tube; ethanol leaves the fuel for the water, and the
 * aqueous layer grows by it.
 *
 * Corrected for the contraction of the mixture with {@see EthanolWater} (published): the ethanol fraction e is the
 * one for which e·fuel and the water, mixed, fill the aqueous layer that was read. Biased low, because a little
 * ethanol stays in the gasoline: up to about one per cent absolute (from memory, {@see EthanolContent::LEFT_IN_FUEL}).
 */
final readonly class WaterShift
{
    /** Half the finest graduation of a 100 mL cylinder (common practice). */
    public const READING_ERROR_ML = 0.5;

    private function __construct(
        public Volume $fuel,
        public Volume $water,
        public Volume $aqueous,
        public Temperature $at,
        public Volume $readingError,
    ) {
    }

    /**
     * @param Volume      $fuel         1 to 2000 mL
     * @param Volume      $water        1 to 2000 mL
     * @param Volume      $aqueous      the lower layer as read after shaking and standing
     * @param Temperature $at           0 to 40 °C: below, the water would freeze; above, gasoline has no business in an open tube
     * @param Volume|null $readingError half-width of the reading of the aqueous layer, 0.01 to 50 mL; half a millilitre when not given
     *
     * @throws \AwakeShed\Core\Units\ImpossibleAmount when a volume or the temperature is outside its interval
     * @throws ImpossibleWaterShift                   when no fuel could have given this layer
     */
    public static function read(Volume $fuel, Volume $water, Volume $aqueous, Temperature $at, ?Volume $readingError = null): self
    {
        $readingError ??= Volume::millilitres(self::READING_ERROR_ML);
        $tube = new Interval(1.0, 2000.0, VolumeUnit::Millilitre);
        $tube->demand($fuel);
        $tube->demand($water);
        (new Interval(0.0, 4000.0, VolumeUnit::Millilitre))->demand($aqueous);
        (new Interval(0.01, 50.0, VolumeUnit::Millilitre))->demand($readingError);
        (new Interval(0.0, 40.0, TemperatureUnit::Celsius))->demand($at);

        $shift = new self($fuel, $water, $aqueous, $at, $readingError);
        if ($aqueous->plus($readingError)->isLessThan($water)) {
            throw ImpossibleWaterShift::waterVanished($water, $aqueous);
        }
        if ($aqueous->isGreaterThan($water->plus($fuel))) {
            throw ImpossibleWaterShift::moreThanPoured($water->plus($fuel), $aqueous);
        }
        if ($aqueous->minus($readingError)->isGreaterThan($shift->aqueousWith(1.0))) {
            throw ImpossibleWaterShift::moreThanPureEthanol($shift->aqueousWith(1.0), $aqueous);
        }

        return $shift;
    }

    public function content(): EthanolContent
    {
        $fraction = $this->fractionFor($this->aqueous);
        $low = $this->fractionFor($this->aqueous->minus($this->readingError));
        $high = $this->fractionFor($this->aqueous->plus($this->readingError));

        return new EthanolContent(
            naive: $this->aqueous->minus($this->water)->over($this->fuel),
            corrected: $fraction,
            // At the ends of the scale the interval is cut off on one side; the wider side speaks for both.
            halfWidth: max($high - $fraction, $fraction - $low),
        );
    }

    /** The ethanol fraction of the fuel, 0 to 1, that fills this aqueous layer. */
    private function fractionFor(Volume $aqueous): float
    {
        $low = 0.0;
        $high = 1.0;
        if (!$aqueous->isGreaterThan($this->aqueousWith($low))) {
            return $low;
        }
        if (!$aqueous->isLessThan($this->aqueousWith($high))) {
            return $high;
        }
        // The layer grows with every drop of ethanol, so halving cannot miss; 40 halvings leave 1e-12.
        for ($step = 0; $step < 40; ++$step) {
            $middle = ($low + $high) / 2;
            if ($this->aqueousWith($middle)->isLessThan($aqueous)) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return ($low + $high) / 2;
    }

    private function aqueousWith(float $fraction): Volume
    {
        return EthanolWater::mixed($this->fuel->times($fraction), $this->water, $this->at);
    }
}
