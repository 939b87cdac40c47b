<?php

declare(strict_types=1);

namespace AwakeShed\App\Carburetor;

use AwakeShed\App\Reader\Reader;
use AwakeShed\App\Unit\Measure;
use AwakeShed\App\Unit\Quantities;
use AwakeShed\Core\Carburetor\Part;
use AwakeShed\Core\Carburetor\PartsLedger;
use AwakeShed\Core\Jet\JetBore;
use AwakeShed\Core\Jet\WireSet;
use AwakeShed\Core\Refusal;
use AwakeShed\Core\Units\Length;

/** Which of a person's own wires goes through which passage without cutting it. */
final readonly class FittingWires
{
    /** The part whose bore was read for a passage. */
    private const JETS = ['main' => 'main_jet', 'pilot' => 'pilot_jet', 'nut_side' => 'bowl_nut'];

    public function __construct(private Reader $reader, private Quantities $quantities)
    {
    }

    /** @return array<string, array{bore: Length, isRead: bool, wire: Length|null}> by passage, where a bore is known */
    public function forLedger(PartsLedger $ledger): array
    {
        $set = WireSet::fromWires($this->reader->wires());
        $wires = [];
        foreach ($ledger->passages() as $state) {
            $read = $this->read($ledger, self::JETS[$state->passage->id] ?? '');
            $bore = $read ?? (null === $state->passage->boreMm ? null : Length::millimetres($state->passage->boreMm));
            if (null !== $bore) {
                $wires[$state->passage->id] = ['bore' => $bore, 'isRead' => null !== $read, 'wire' => $set->forBore(JetBore::ofDiameter($bore))];
            }
        }

        return $wires;
    }

    private function read(PartsLedger $ledger, string $kind): ?Length
    {
        $jet = array_values(array_filter($ledger->parts, static fn (Part $part): bool => $part->kind === $kind))[0] ?? null;
        try {
            $bore = $this->quantities->read($jet->notes['bore'] ?? '', Measure::Bore, Length::class);
            JetBore::ofDiameter($bore);

            return $bore;
        } catch (Refusal) {
            // What stands there is a maker's number, not a bore.
            return null;
        }
    }
}
