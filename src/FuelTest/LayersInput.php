<?php

declare(strict_types=1);

namespace AwakeShed\App\FuelTest;

use AwakeShed\Core\Fuel\JarLayers;
use AwakeShed\Core\Fuel\JarReading;
use AwakeShed\Core\Fuel\LayerEdge;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\Volume;
use Symfony\Component\Validator\Constraints as Assert;

final class LayersInput implements JarInput
{
    #[Assert\NotNull(message: 'How high does it stand in the jar?')]
    public ?Length $height = null;

    #[Assert\NotNull(message: 'How much is in the jar? Zero, if nothing came.')]
    public ?Volume $total = null;

    /** Left empty when there is one layer. */
    public ?Volume $lower = null;
    public ?LayerEdge $edge = null;

    public static function fromReading(JarReading $jar): self
    {
        $input = new self();
        $input->height = $jar->layers?->height;
        $input->total = $jar->layers?->total;
        $input->lower = $jar->layers?->lower;
        $input->edge = $jar->layers?->edge;

        return $input;
    }

    public function appliedTo(JarReading $jar): JarReading
    {
        return $jar->withLayers(null === $this->height || null === $this->total ? null : JarLayers::read(
            $this->height,
            $this->total,
            $this->lower ?? Volume::zero(),
            $this->edge,
        ));
    }
}
