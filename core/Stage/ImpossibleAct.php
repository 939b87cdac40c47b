<?php

declare(strict_types=1);

namespace AwakeShed\Core\Stage;

use AwakeShed\Core\StatedRefusal;

/** Something said to have been done that cannot have been, or not so. */
final class ImpossibleAct extends StatedRefusal
{
    public static function noSuchStep(string $step): self
    {
        return new self('act.no_such_step', \sprintf('There is no step "%s".', $step), ['step' => $step]);
    }

    public static function notAnAct(string $step): self
    {
        return new self('act.not_an_act', \sprintf('"%s" is recorded by what it shows.', $step), ['step' => $step]);
    }

    public static function missing(string $step, string $field): self
    {
        return new self('act.figure_missing', \sprintf('"%s" wants "%s".', $step, $field), ['step' => $step, 'field' => $field]);
    }

    public static function outside(string $step, string $field, float $value, float $least, float $most): self
    {
        return new self('act.out_of_range', \sprintf('%s of "%s" is %s, allowed %s to %s.', $field, $step, $value, $least, $most), ['step' => $step, 'field' => $field, 'value' => $value, 'least' => $least, 'most' => $most]);
    }

    public static function contradicts(string $step, string $other): self
    {
        return new self('act.contradicts', \sprintf('"%s" and "%s" cannot both be so.', $step, $other), ['step' => $step, 'other' => $other]);
    }

    public static function noSuchChoice(string $step, string $choice): self
    {
        return new self('act.no_such_choice', \sprintf('"%s" is no choice of "%s".', $choice, $step), ['step' => $step, 'choice' => $choice]);
    }
}
