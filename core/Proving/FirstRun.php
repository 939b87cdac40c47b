<?php

declare(strict_types=1);

namespace AwakeShed\Core\Proving;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Cycle;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Evidence\MachineState;

/** What is in a machine before its first run, read from its state: nobody has to remember it at the cord (common practice). */
final readonly class FirstRun
{
    private const BAD_FUEL = ['jar.tank' => ['hazy', 'two_layers', 'dark_or_sediment'], 'jar.smell' => ['stale', 'varnish'], 'look.tank' => ['sediment', 'rust', 'water']];
    private const SOUND_OIL = ['at_mark', 'over_mark'];

    private function __construct()
    {
    }

    /** @return list<Within> fuel, oil, plug, filter, covers, carburetor, and the water of a washer */
    public static function isIn(CaseFile $case): array
    {
        return array_values(array_filter([
            self::fuel($case),
            Cycle::FourStroke === $case->machine->cycle ? self::oil($case) : null,
            self::placed($case, 'plug', 'plug.in', 'in'),
            self::filter($case),
            self::placed($case, 'covers', 'covers.on', 'on'),
            self::carburetor($case),
            MachineKind::PressureWasher === $case->machine->kind ? self::water($case) : null,
        ], static fn (?Within $one): bool => null !== $one));
    }

    private static function fuel(CaseFile $case): Within
    {
        $state = $case->state->stateOf('tank');

        return match (true) {
            'filled' === $state => new Within('tank', true, 'fresh', []),
            $case->says(['jar.tank' => ['empty']]), \in_array($state, ['drained', 'flushed', 'dried'], true) => new Within('tank', false, 'empty', ['tank.filled']),
            $case->says(self::BAD_FUEL) => new Within('tank', false, 'bad', ['tank.drained']),
            $case->says(['jar.tank' => ['clear_one_layer']]) => new Within('tank', true, 'looked_at', []),
            default => new Within('tank', null, 'unknown', ['jar.tank']),
        };
    }

    private static function oil(CaseFile $case): Within
    {
        $level = $case->standing('look.oil_level');

        return match (true) {
            'drained' === $case->state->stateOf('crankcase') => new Within('crankcase', false, 'empty', ['crankcase.filled']),
            null === $level => new Within('crankcase', null, 'unknown', ['look.oil_level']),
            $level->saysAnyOf(self::SOUND_OIL) => new Within('crankcase', true, 'filled' === $case->state->stateOf('crankcase') ? 'fresh' : 'looked_at', []),
            default => new Within('crankcase', false, 'bad', $level->saysAnyOf(['below_mark']) ? ['crankcase.topped_up'] : ['crankcase.drained']),
        };
    }

    private static function placed(CaseFile $case, string $thing, string $act, string $good): Within
    {
        // What nobody took out is where its maker put it.
        $place = $case->state->place($thing) ?? $good;

        return new Within($thing, $place === $good, $place, $place === $good ? [] : [$act]);
    }

    private static function filter(CaseFile $case): Within
    {
        $isOut = 'out' === $case->state->place('air_filter') && 'renewed' !== $case->state->stateOf('air_filter');

        return match (true) {
            $isOut => new Within('air_filter', false, 'out', ['air_filter.in']),
            null === $case->standing('look.air_filter') && MachineState::NEVER === $case->state->touched('air_filter') => new Within('air_filter', null, 'unknown', ['look.air_filter']),
            default => new Within('air_filter', true, 'in', []),
        };
    }

    private static function carburetor(CaseFile $case): Within
    {
        $isOff = 'off' === $case->state->place('carburetor') || 'off' === $case->state->place('bowl');
        $isUnchecked = \in_array($case->state->stateOf('carburetor'), ['on_not_checked', 'replaced'], true);

        return match (true) {
            $isOff => new Within('carburetor', false, 'off', ['off' === $case->state->place('bowl') ? 'bowl.on' : 'carburetor.on']),
            $isUnchecked => new Within('carburetor', false, 'on_not_checked', ['carburetor.checked']),
            default => new Within('carburetor', true, 'on', []),
        };
    }

    private static function water(CaseFile $case): Within
    {
        return $case->says(['gate.water_supply' => ['on']]) ? new Within('water', true, 'on_and_bled', []) : new Within('water', false, 'not_connected', ['water.on']);
    }
}
