<?php

declare(strict_types=1);

namespace AwakeShed\Core\Fuel;

/** The outcomes of the vocabulary's test jar.lower_layer_after_water. */
enum LayerGrowthOutcome: string
{
    /** Nothing left the fuel: the lower layer is free water. */
    case GrewByDose = 'grew_by_dose';

    /** Ethanol came down out of the fuel: a blend, separated or about to. */
    case GrewByMore = 'grew_by_more';

    /** The fuel took the dose up and stayed in one layer. */
    case NoLayer = 'no_layer';
}
