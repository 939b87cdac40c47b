<?php

declare(strict_types=1);

namespace AwakeShed\Core\Spark;

/** Whether a meter's reading stays while the coil is moved or warmed. */
enum Steadiness: string
{
    case Steady = 'steady';
    case Wanders = 'wanders';
}
