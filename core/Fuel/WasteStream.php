<?php

declare(strict_types=1);

namespace AwakeShed\Core\Fuel;

/** The cans waste is kept in; each is taken away by its own rules. */
enum WasteStream: string
{
    case StaleGasoline = 'stale_gasoline';
    case GasolineWater = 'gasoline_water';
    case OilGasoline = 'oil_gasoline';
    case UsedOil = 'used_oil';
    case Solvent = 'solvent';
}
