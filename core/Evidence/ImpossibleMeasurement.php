<?php

declare(strict_types=1);

namespace AwakeShed\Core\Evidence;

use AwakeShed\Core\StatedRefusal;

/** A reading behind a finding that nothing can have, such as a negative volume. */
final class ImpossibleMeasurement extends StatedRefusal
{
    public static function below(string $key, float|int $value, float $floor): self
    {
        return new self('measured.below_floor', \sprintf('"%s" is %s; it cannot be below %s.', $key, $value, $floor), ['key' => $key, 'value' => $value, 'least' => $floor]);
    }
}
