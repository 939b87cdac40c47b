<?php

declare(strict_types=1);

namespace AwakeShed\Core\Oil;

use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\KinematicViscosity;
use AwakeShed\Core\Units\Temperature;
use AwakeShed\Core\Units\TemperatureUnit;
use AwakeShed\Core\Units\ViscosityUnit;

/**
 * An oil's kinematic viscosity over temperature, through two known points.
 *
 * Published: ASTM D341, log₁₀ log₁₀(ν + 0.7) = A − B·log₁₀ T with T in kelvin; this short form holds from about
 * 2 mm²/s up, and results below are refused. Above 10⁶ mm²/s an oil stands still, and is only said to be thicker.
 */
final readonly class ViscosityLine
{
    private const LEAST = 2.0;
    /** mm²/s; what is answered where it is thicker still. */
    public const MOST = 1e6;

    private function __construct(private float $a, private float $b)
    {
    }

    /**
     * @throws \AwakeShed\Core\Units\ImpossibleAmount when a viscosity is below 2 mm²/s or a temperature outside −60 to 200 °C
     * @throws \LogicException                        when both points have the same temperature
     */
    public static function through(Temperature $one, KinematicViscosity $there, Temperature $other, KinematicViscosity $overThere): self
    {
        [$x1, $x2] = [self::abscissa($one), self::abscissa($other)];
        if ($x1 === $x2) {
            throw new \LogicException('Two points at one temperature make no line.');
        }
        [$y1, $y2] = [self::ordinate($there), self::ordinate($overThere)];
        $b = ($y1 - $y2) / ($x2 - $x1);

        return new self($y1 + $b * $x1, $b);
    }

    /** @throws \AwakeShed\Core\Units\ImpossibleAmount outside −60 to 200 °C, or where the result is below 2 mm²/s */
    public function at(Temperature $temperature): KinematicViscosity
    {
        // The double power leaves the numbers a machine has long before the coldest start does.
        $power = min(10.0, 10 ** ($this->a - $this->b * self::abscissa($temperature)));
        $viscosity = KinematicViscosity::centistokes(min(self::MOST, 10 ** $power - 0.7));
        self::bounds()->demand($viscosity);

        return $viscosity;
    }

    private static function abscissa(Temperature $temperature): float
    {
        (new Interval(-60.0, 200.0, TemperatureUnit::Celsius))->demand($temperature);

        return log10($temperature->in(TemperatureUnit::Kelvin));
    }

    private static function ordinate(KinematicViscosity $viscosity): float
    {
        self::bounds()->demand($viscosity);

        return log10(log10($viscosity->inCentistokes() + 0.7));
    }

    private static function bounds(): Interval
    {
        return new Interval(self::LEAST, self::MOST, ViscosityUnit::Centistokes);
    }
}
