<?php

declare(strict_types=1);

namespace AwakeShed\Core\Jet;

use AwakeShed\Core\Units\Edge;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\Length;
use AwakeShed\Core\Units\LengthUnit;

/** The cleaning wires somebody owns. */
final readonly class WireSet
{
    /** @param list<Length> $wires thinnest first */
    private function __construct(public array $wires)
    {
    }

    /**
     * @param list<Length> $wires diameters, 0.02 to 5 mm, in any order
     *
     * @throws \AwakeShed\Core\Units\ImpossibleAmount when one is outside that
     */
    public static function fromWires(array $wires): self
    {
        foreach ($wires as $wire) {
            (new Interval(0.02, 5.0, LengthUnit::Millimetre))->demand($wire);
        }
        usort($wires, static fn (Length $one, Length $other): int => $one->inMillimetres() <=> $other->inMillimetres());

        return new self($wires);
    }

    /** @return Length|null the largest that cannot cut the bore; null when every one of them might */
    public function forBore(JetBore $bore): ?Length
    {
        $widest = $bore->widestWire()->inMillimetres();
        $fitting = array_filter($this->wires, static fn (Length $wire): bool => Edge::isAtMost($wire->inMillimetres(), $widest));

        return [] === $fitting ? null : end($fitting);
    }
}
