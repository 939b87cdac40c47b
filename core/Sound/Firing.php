<?php

declare(strict_types=1);

namespace AwakeShed\Core\Sound;

/** What beats once in what is heard, by how an engine is built: how many turns of its crank lie between two beats. */
enum Firing: string
{
    /** A four-stroke fires every other turn. */
    case FourStrokeSingle = 'four_stroke_single';

    /** Twins fire in even steps, a turn apart, or in uneven ones, so that only the pair of them repeats, every other turn: both are possible. */
    case FourStrokeTwin = 'four_stroke_twin';
    case TwoStrokeSingle = 'two_stroke_single';

    /** Half a turn apart, or both at once. */
    case TwoStrokeTwin = 'two_stroke_twin';

    /** The crackle of the ignition, on a radio or by a lead: a magneto sparks at every turn, needed or not (the wasted spark). */
    case SparkEveryTurn = 'spark_every_turn';

    /** @return non-empty-list<float> turns of the crank a beat, the likelier first */
    public function turns(): array
    {
        return match ($this) {
            self::FourStrokeSingle => [2.0],
            self::FourStrokeTwin => [1.0, 2.0],
            self::TwoStrokeSingle, self::SparkEveryTurn => [1.0],
            self::TwoStrokeTwin => [0.5, 1.0],
        };
    }
}
