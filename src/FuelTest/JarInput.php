<?php

declare(strict_types=1);

namespace AwakeShed\App\FuelTest;

use AwakeShed\Core\Fuel\JarReading;

/** What one card of the jar page holds, complete or not. */
interface JarInput
{
    public static function fromReading(JarReading $jar): self;

    /**
     * The jar with this card's readings in place of its old ones; a card left empty takes them out.
     *
     * @throws \AwakeShed\Core\Refusal when the readings are impossible
     */
    public function appliedTo(JarReading $jar): JarReading;
}
