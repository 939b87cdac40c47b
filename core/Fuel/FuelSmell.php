<?php

declare(strict_types=1);

namespace AwakeShed\Core\Fuel;

/** The outcomes of the vocabulary's test jar.smell. */
enum FuelSmell: string
{
    case Fresh = 'fresh';
    case Stale = 'stale';
    case Varnish = 'varnish';
}
