<?php

declare(strict_types=1);

namespace AwakeShed\Core\Fuel;

/** The boundary between two layers. */
enum LayerEdge: string
{
    case Sharp = 'sharp';

    /** Dirty lace between the layers: an emulsion that has not let go. */
    case Rag = 'rag';
}
