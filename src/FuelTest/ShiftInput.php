<?php

declare(strict_types=1);

namespace AwakeShed\App\FuelTest;

use AwakeShed\Core\Fuel\JarReading;
use AwakeShed\Core\Fuel\WaterShift;
use AwakeShed\Core\Units\Temperature;
use AwakeShed\Core\Units\Volume;
use Symfony\Component\Validator\Constraints as Assert;

final class ShiftInput implements JarInput
{
    #[Assert\NotNull(message: 'How much fuel went into the tube?')]
    public ?Volume $fuel = null;

    #[Assert\NotNull(message: 'How much water went into the tube?')]
    public ?Volume $water = null;

    #[Assert\NotNull(message: 'Where does the lower layer stand now?')]
    public ?Volume $aqueous = null;

    #[Assert\NotNull(message: 'How warm is it where the tube stands?')]
    public ?Temperature $at = null;

    public ?Volume $readingError = null;

    public static function fromReading(JarReading $jar): self
    {
        $input = new self();
        $input->fuel = $jar->shift?->fuel;
        $input->water = $jar->shift?->water;
        $input->aqueous = $jar->shift?->aqueous;
        $input->at = $jar->shift?->at;
        $input->readingError = $jar->shift->readingError ?? Volume::millilitres(WaterShift::READING_ERROR_ML);

        return $input;
    }

    public function appliedTo(JarReading $jar): JarReading
    {
        return $jar->withShift(null === $this->fuel || null === $this->water || null === $this->aqueous || null === $this->at
            ? null
            : WaterShift::read($this->fuel, $this->water, $this->aqueous, $this->at, $this->readingError));
    }
}
