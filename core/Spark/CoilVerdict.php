<?php

declare(strict_types=1);

namespace AwakeShed\Core\Spark;

/** The values are the outcomes of the vocabulary's test `spark.coil_ohms`. */
enum CoilVerdict: string
{
    case LikeKnownGood = 'like_known_good';
    case Off = 'off';
    case Open = 'open';
    case Erratic = 'erratic';
}
