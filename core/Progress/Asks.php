<?php

declare(strict_types=1);

namespace AwakeShed\Core\Progress;

use AwakeShed\Core\Carburetor\PartFate;
use AwakeShed\Core\Carburetor\PartsLedger;
use AwakeShed\Core\Evidence\CaseFile;

/** What a machine's state asks of whoever goes on with it (common practice). */
final readonly class Asks
{
    private const CLEANED = ['bowl.cleaned', 'main_jet.cleaned', 'pickup.cleaned', 'emulsion.cleaned', 'pilot.cleaned', 'passages.cleared', 'carburetor.replaced'];
    private const LINE_CLEAN = ['line.blown_back', 'line.flushed', 'line.renewed'];
    private const STALE = ['jar.smell' => ['stale', 'varnish'], 'jar.tank' => ['dark_or_sediment', 'two_layers']];
    private const GAS_IN_OIL = ['look.oil_smell' => ['gas', 'residue_expected'], 'look.oil_body' => ['thin']];

    private function __construct()
    {
    }

    /** @return list<Ask> */
    public static function of(CaseFile $case): array
    {
        $asks = [];
        if ($case->state->last(...self::CLEANED) >= 0 && !(self::isTankClean($case) && self::isLineClean($case))) {
            $asks[] = Ask::DirtyFeed;
        }
        if ($case->says(self::STALE)) {
            $asks[] = Ask::StaleStart;
        }
        if ($case->state->last('needle.renewed', 'needle_and_seat.renewed', 'seat.renewed') > $case->foundAt('needle.pressure')) {
            $asks[] = Ask::NeedleUntested;
        }
        if ($case->everSaid(self::GAS_IN_OIL) && 1 === $case->state->count('crankcase.filled')) {
            $asks[] = Ask::SecondChange;
        }

        return $asks;
    }

    /** @return list<Ask> what was gone past at the carburetor bench */
    public static function atTheBench(PartsLedger $ledger): array
    {
        $asks = [];
        foreach ($ledger->parts as $part) {
            if ($part->isOn && PartFate::Clean === $part->fate() && [] === $part->cleaned) {
                $asks[Ask::PartUncleaned->value] = Ask::PartUncleaned;
            }
            if (\in_array('turns', $ledger->type?->part($part->kind ?? '')->asks ?? [], true) && !isset($part->notes['turns'])) {
                $asks[Ask::TurnsUnwritten->value] = Ask::TurnsUnwritten;
            }
        }

        return array_values($asks);
    }

    private static function isTankClean(CaseFile $case): bool
    {
        return $case->says(['look.tank' => ['clean']]) || $case->state->last('tank.flushed', 'tank.dried') > $case->foundAt('look.tank');
    }

    private static function isLineClean(CaseFile $case): bool
    {
        return $case->says(['flow.line' => ['pours']]) || $case->state->last(...self::LINE_CLEAN) > $case->foundAt('flow.line');
    }
}
