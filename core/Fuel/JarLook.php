<?php

declare(strict_types=1);

namespace AwakeShed\Core\Fuel;

/** What eye and nose say of a jar; null where nobody has looked yet. */
final readonly class JarLook
{
    /** @param list<Specks>|null $specks empty: looked, and none seen */
    public function __construct(
        public ?Clarity $clarity = null,
        public ?FuelColour $colour = null,
        public ?array $specks = null,
        public ?FuelSmell $smell = null,
    ) {
    }

    public function shows(Specks $kind): bool
    {
        return \in_array($kind, $this->specks ?? [], true);
    }

    public function isDarkOrDirty(): bool
    {
        return FuelColour::Brown === $this->colour || [] !== ($this->specks ?? []);
    }
}
