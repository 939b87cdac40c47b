<?php

declare(strict_types=1);

namespace AwakeShed\App\FuelTest;

use AwakeShed\Core\Fuel\JarReading;
use AwakeShed\Core\Fuel\JarSample;

/** The cards of the jar page; the values are the keys of a stored jar. */
enum JarPart: string
{
    case Layers = 'layers';
    case Look = 'look';
    case Age = 'age';
    case Shift = 'shift';
    case Dose = 'dose';
    case Tank = 'tank';

    /** @return list<self> what is asked of a sample: the tank's water budget is no business of a bowl's */
    public static function forSample(JarSample $sample): array
    {
        return array_values(array_filter(self::cases(), static fn (self $part): bool => self::Tank !== $part || JarSample::Tank === $sample));
    }

    public function input(JarReading $jar): JarInput
    {
        return match ($this) {
            self::Layers => LayersInput::fromReading($jar),
            self::Look => LookInput::fromReading($jar),
            self::Age => AgeInput::fromReading($jar),
            self::Shift => ShiftInput::fromReading($jar),
            self::Dose => DoseInput::fromReading($jar),
            self::Tank => TankInput::fromReading($jar),
        };
    }

    public function isSameIn(?JarReading $one, ?JarReading $other): bool
    {
        return ($one?->toArray()[$this->value] ?? null) === ($other?->toArray()[$this->value] ?? null);
    }
}
