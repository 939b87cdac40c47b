<?php

declare(strict_types=1);

namespace AwakeShed\Core\Oil;

use AwakeShed\Core\Units\KinematicViscosity;

/** The grades of SAE J300 by kinematic viscosity at 100 °C (published); the thin ones overlap as the table does. */
enum ViscosityGrade: string
{
    case Sae8 = '8';
    case Sae12 = '12';
    case Sae16 = '16';
    case Sae20 = '20';
    case Sae30 = '30';
    case Sae40 = '40';
    case Sae50 = '50';
    case Sae60 = '60';

    /** @return list<self> the grades an oil of this viscosity at 100 °C would pass for, thinnest first; none below 4 mm²/s */
    public static function passedBy(KinematicViscosity $hot): array
    {
        return array_values(array_filter(self::cases(), static function (self $grade) use ($hot): bool {
            [$least, $below] = $grade->bounds();

            return $hot->inCentistokes() >= $least && $hot->inCentistokes() < $below;
        }));
    }

    public static function isThickerThanAny(KinematicViscosity $hot): bool
    {
        return $hot->inCentistokes() >= self::Sae60->bounds()[1];
    }

    /** @return array{float, float} least, and below, mm²/s at 100 °C */
    private function bounds(): array
    {
        return match ($this) {
            self::Sae8 => [4.0, 6.1],
            self::Sae12 => [5.0, 7.1],
            self::Sae16 => [6.1, 8.2],
            self::Sae20 => [6.9, 9.3],
            self::Sae30 => [9.3, 12.5],
            self::Sae40 => [12.5, 16.3],
            self::Sae50 => [16.3, 21.9],
            self::Sae60 => [21.9, 26.1],
        };
    }
}
