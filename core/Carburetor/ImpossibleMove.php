<?php

declare(strict_types=1);

namespace AwakeShed\Core\Carburetor;

use AwakeShed\Core\StatedRefusal;

/** Something said to have been done at the carburetor bench that cannot have been, or not now. */
final class ImpossibleMove extends StatedRefusal
{
    public static function notBegun(): self
    {
        return new self('strip.not_begun', 'No ledger is begun on this job.');
    }

    public static function begunAlready(): self
    {
        return new self('strip.begun_already', 'A ledger is open on this job already.');
    }

    public static function noSuch(string $what, string $word): self
    {
        return new self('strip.no_such', \sprintf('"%s" is no %s here.', $word, $what), ['what' => $what, 'word' => $word]);
    }

    public static function noSuchPlace(int $place): self
    {
        return new self('strip.no_such_place', \sprintf('Nothing lies at place %d.', $place), ['place' => $place]);
    }

    public static function nameless(): self
    {
        return new self('strip.nameless', 'A part wants a name of 1 to 80 characters.');
    }

    public static function tooMany(int $most): self
    {
        return new self('strip.too_many', \sprintf('A ledger holds %d parts at most.', $most), ['most' => $most]);
    }

    public static function unknownHole(string $part): self
    {
        return new self('strip.unknown_hole', \sprintf('Which hole: "%s" does not come off before it is written down.', $part), ['part' => $part]);
    }

    public static function liesOnTheMat(string $part, string $test): self
    {
        return new self('strip.lies_on_the_mat', \sprintf('%s cannot be made: %s lies on the mat.', $test, $part), ['part' => $part, 'test' => $test]);
    }

    public static function atTheBench(string $act): self
    {
        return new self('strip.at_the_bench', \sprintf('%s is said by the ledger, which is open.', $act), ['act' => $act]);
    }

    public static function under(int $place, int $first): self
    {
        return new self('strip.under', \sprintf('Place %d goes on after place %d: it lies above it in the stack.', $place, $first), ['place' => $place, 'first' => $first]);
    }

    public static function neverLeftOff(string $part): self
    {
        return new self('strip.never_left_off', \sprintf('"%s" keeps fuel, air or speed where it belongs: it is not left off.', $part), ['part' => $part]);
    }

    public static function reasonless(int $most): self
    {
        return new self('strip.reasonless', \sprintf('Why it stays off wants 1 to %d characters.', $most), ['most' => $most]);
    }

    public static function alreadyOn(int $place): self
    {
        return new self('strip.already_on', \sprintf('Place %d is back on already.', $place), ['place' => $place]);
    }

    public static function keptOut(string $method, string $material, string $why): self
    {
        return new self('strip.kept_out.'.$why, \sprintf('%s stays out of %s: %s.', $material, $method, $why), ['method' => $method, 'material' => $material]);
    }

    public static function outOfRange(int $least, int $most): self
    {
        return new self('strip.out_of_range', \sprintf('A whole number, %d to %d.', $least, $most), ['least' => $least, 'most' => $most]);
    }

    public static function notClosable(int $parts, int $checks): self
    {
        return new self('strip.not_closable', \sprintf('%d parts are still on the mat and %d points are not checked.', $parts, $checks), ['parts' => $parts, 'checks' => $checks]);
    }

    public static function partsLeft(int $parts): self
    {
        return new self('strip.parts_left', \sprintf('%d parts are still on the mat.', $parts), ['parts' => $parts]);
    }
}
