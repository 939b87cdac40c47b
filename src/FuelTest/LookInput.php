<?php

declare(strict_types=1);

namespace AwakeShed\App\FuelTest;

use AwakeShed\Core\Fuel\Clarity;
use AwakeShed\Core\Fuel\FuelColour;
use AwakeShed\Core\Fuel\FuelSmell;
use AwakeShed\Core\Fuel\JarLook;
use AwakeShed\Core\Fuel\JarReading;
use AwakeShed\Core\Fuel\Specks;

final class LookInput implements JarInput
{
    /** The chip that says: looked, and nothing there. */
    public const NO_SPECKS = 'none';

    public ?Clarity $clarity = null;
    public ?FuelColour $colour = null;

    /** @var list<string> */
    public array $specks = [];
    public ?FuelSmell $smell = null;

    public static function fromReading(JarReading $jar): self
    {
        $input = new self();
        $input->clarity = $jar->look->clarity;
        $input->colour = $jar->look->colour;
        $input->smell = $jar->look->smell;
        $input->specks = [] === $jar->look->specks
            ? [self::NO_SPECKS]
            : array_map(static fn (Specks $kind): string => $kind->value, $jar->look->specks ?? []);

        return $input;
    }

    public function appliedTo(JarReading $jar): JarReading
    {
        // Something seen overrules "none" left pressed from before.
        $seen = array_values(array_diff($this->specks, [self::NO_SPECKS]));

        return $jar->withLook(new JarLook(
            $this->clarity,
            $this->colour,
            [] === $this->specks ? null : array_map(Specks::from(...), $seen),
            $this->smell,
        ));
    }
}
