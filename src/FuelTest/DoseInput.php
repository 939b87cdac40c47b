<?php

declare(strict_types=1);

namespace AwakeShed\App\FuelTest;

use AwakeShed\Core\Fuel\JarReading;
use AwakeShed\Core\Fuel\LayerGrowth;
use AwakeShed\Core\Units\Volume;
use Symfony\Component\Validator\Constraints as Assert;

final class DoseInput implements JarInput
{
    #[Assert\NotNull(message: 'How much water was added?')]
    public ?Volume $dose = null;

    #[Assert\NotNull(message: 'Where did the lower layer stand before?')]
    public ?Volume $before = null;

    #[Assert\NotNull(message: 'Where does it stand after?')]
    public ?Volume $after = null;

    public static function fromReading(JarReading $jar): self
    {
        $input = new self();
        $input->dose = $jar->growth?->dose;
        // The dose goes into the jar as it stands: what was read of its lower layer need not be typed again.
        $input->before = $jar->growth->before ?? $jar->layers?->lower;
        $input->after = $jar->growth?->after;

        return $input;
    }

    public function appliedTo(JarReading $jar): JarReading
    {
        return $jar->withGrowth(null === $this->dose || null === $this->before || null === $this->after
            ? null
            : LayerGrowth::read($this->dose, $this->before, $this->after));
    }
}
