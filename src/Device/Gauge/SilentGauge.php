<?php

declare(strict_types=1);

namespace AwakeShed\App\Device\Gauge;

/** There is no gauge to be heard, or it says what no gauge says. */
final class SilentGauge extends \RuntimeException
{
}
