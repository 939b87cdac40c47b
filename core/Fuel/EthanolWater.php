<?php

declare(strict_types=1);

namespace AwakeShed\Core\Fuel;

use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Temperature;
use AwakeShed\Core\Units\TemperatureUnit;
use AwakeShed\Core\Units\Volume;

/**
 * Density of ethanol–water mixtures, and what two volumes of them make together.
 *
 * Source class: published. General formula of OIML R 22 (1975), International alcoholometric tables:
 * density as a polynomial of ethanol mass fraction p and of t − 20 °C, valid for p 0–1 and t −20 to +40 °C;
 * the Recommendation states its fit to within the uncertainty of the tables, which read to 0.01 kg/m³.
 */
final readonly class EthanolWater
{
    /** Terms of p^0 … p^11 at 20 °C. */
    private const A = [
        9.982012300e2, -1.929769495e2, 3.891238958e2, -1.668103923e3, 1.352215441e4, -8.829278388e4,
        3.062874042e5, -6.138381234e5, 7.470172998e5, -5.478461354e5, 2.234460334e5, -3.903285426e4,
    ];

    /** Terms of (t − 20)^1 … (t − 20)^6, for water. */
    private const B = [
        -2.0618513e-1, -5.2682542e-3, 3.6130013e-5, -3.8957702e-7, 7.1693540e-9, -9.9739231e-11,
    ];

    /** One row for each power of (t − 20) from 1 on; within a row, the powers of p from 1 on. */
    private const C = [
        [
            1.693443461530087e-1, -1.046914743455169e1, 7.196353469546523e1, -7.047478054272792e2,
            3.924090430035045e3, -1.210164659068747e4, 2.248646550400788e4, -2.605562982188164e4,
            1.852373922069467e4, -7.420201433430137e3, 1.285617841998974e3,
        ],
        [
            -1.193013005057010e-2, 2.517399633803461e-1, -2.170575700536993e0, 1.353034988843029e1,
            -5.029988758547014e1, 1.096355666577570e2, -1.422753946421155e2, 1.080435942856230e2,
            -4.414153236817392e1, 7.442971530188783e0,
        ],
        [
            -6.802995733503803e-4, 1.876837790289664e-2, -2.002561813734156e-1, 1.022992966719220e0,
            -2.895696483903638e0, 4.810060584300675e0, -4.672147440794683e0, 2.458043105903461e0,
            -5.411227621436812e-1,
        ],
        [4.075376675622027e-6, -8.763058573471110e-6, 6.515031360099368e-6, -1.515784836987210e-6],
        [-2.788074354782409e-8, 1.345612883493354e-8],
    ];

    private function __construct()
    {
    }

    /**
     * @param float $massFraction ethanol by mass, 0 to 1
     *
     * @return float kg/m³
     *
     * @throws \AwakeShed\Core\Units\ImpossibleAmount outside −20 to +40 °C
     */
    public static function density(float $massFraction, Temperature $at): float
    {
        if (!($massFraction >= 0.0 && $massFraction <= 1.0)) {
            throw new \LogicException('A mass fraction lies between 0 and 1.');
        }
        (new Interval(-20.0, 40.0, TemperatureUnit::Celsius))->demand($at);
        $fromTwenty = $at->inCelsius() - 20.0;

        $density = self::polynomial(self::A, $massFraction) + $fromTwenty * self::polynomial(self::B, $fromTwenty);
        foreach (self::C as $index => $row) {
            $density += $fromTwenty ** ($index + 1) * $massFraction * self::polynomial($row, $massFraction);
        }

        return $density;
    }

    /**
     * The volume of pure ethanol and pure water poured together: less than their sum, for the mixture contracts.
     *
     * @throws \AwakeShed\Core\Units\ImpossibleAmount outside −20 to +40 °C
     */
    public static function mixed(Volume $ethanol, Volume $water, Temperature $at): Volume
    {
        $ethanolMass = self::density(1.0, $at) * $ethanol->inMillilitres();
        $waterMass = self::density(0.0, $at) * $water->inMillilitres();
        $mass = $ethanolMass + $waterMass;
        if ($mass <= 0.0) {
            return Volume::zero();
        }

        return Volume::millilitres($mass / self::density($ethanolMass / $mass, $at));
    }

    /** @param non-empty-list<float> $terms from the constant upwards */
    private static function polynomial(array $terms, float $x): float
    {
        $sum = 0.0;
        foreach (array_reverse($terms) as $term) {
            $sum = $sum * $x + $term;
        }

        return $sum;
    }
}
