<?php

declare(strict_types=1);

namespace AwakeShed\Core\Carburetor;

/** What a part is made of, as far as cleaning it goes. */
enum Material: string
{
    case Brass = 'brass';
    case ZincAlloy = 'zinc_alloy';
    case Aluminium = 'aluminium';
    case Steel = 'steel';
    case PlatedSteel = 'plated_steel';
    case Plastic = 'plastic';
    case Rubber = 'rubber';
    case RubberTipped = 'rubber_tipped';
    case Paper = 'paper';
    case Fiber = 'fiber';
    case WaxCapsule = 'wax_capsule';
}
