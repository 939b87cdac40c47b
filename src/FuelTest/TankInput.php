<?php

declare(strict_types=1);

namespace AwakeShed\App\FuelTest;

use AwakeShed\Core\Fuel\JarReading;
use AwakeShed\Core\Fuel\TankFuel;
use AwakeShed\Core\Units\Temperature;
use AwakeShed\Core\Units\Volume;
use Symfony\Component\Validator\Constraints as Assert;

final class TankInput implements JarInput
{
    #[Assert\NotNull(message: 'How much fuel is in the tank?')]
    public ?Volume $volume = null;

    #[Assert\NotNull(message: 'How warm is the fuel now?')]
    public ?Temperature $now = null;

    #[Assert\NotNull(message: 'How cold will the night be?')]
    public ?Temperature $tonight = null;

    public static function fromReading(JarReading $jar): self
    {
        $input = new self();
        $input->volume = $jar->tank?->volume;
        $input->now = $jar->tank?->now;
        $input->tonight = $jar->tank?->tonight;

        return $input;
    }

    public function appliedTo(JarReading $jar): JarReading
    {
        return $jar->withTank(null === $this->volume || null === $this->now || null === $this->tonight
            ? null
            : TankFuel::inTank($this->volume, $this->now, $this->tonight));
    }
}
