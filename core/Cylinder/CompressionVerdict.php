<?php

declare(strict_types=1);

namespace AwakeShed\Core\Cylinder;

enum CompressionVerdict: string
{
    case Good = 'good';

    /** A two-stroke that starts, and not for much longer. */
    case Marginal = 'marginal';

    /** Healthy with a compression release, low without one. */
    case DependsOnRelease = 'depends_on_release';
    case Low = 'low';
    case None = 'none';
}
