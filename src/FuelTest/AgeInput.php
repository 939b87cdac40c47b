<?php

declare(strict_types=1);

namespace AwakeShed\App\FuelTest;

use AwakeShed\Core\Fuel\FuelAge;
use AwakeShed\Core\Fuel\JarReading;
use AwakeShed\Core\Units\CalendarSpan;

final class AgeInput implements JarInput
{
    public ?CalendarSpan $age = null;
    public bool $unknown = false;

    public static function fromReading(JarReading $jar): self
    {
        $input = new self();
        $input->age = null === $jar->age?->months ? null : CalendarSpan::months($jar->age->months);
        $input->unknown = false === $jar->age?->isKnown();

        return $input;
    }

    public function appliedTo(JarReading $jar): JarReading
    {
        return $jar->withAge(match (true) {
            null !== $this->age => FuelAge::months($this->age->inMonths()),
            $this->unknown => FuelAge::unknown(),
            default => null,
        });
    }
}
