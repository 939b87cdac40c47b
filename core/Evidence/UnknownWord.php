<?php

declare(strict_types=1);

namespace AwakeShed\Core\Evidence;

use AwakeShed\Core\StatedRefusal;

/** A test, outcome, fault or school that the vocabulary does not have, or a number where it wants a word. */
final class UnknownWord extends StatedRefusal
{
    public static function test(string $id): self
    {
        return new self('word.unknown_test', \sprintf('"%s" is not a test of the vocabulary.', $id), ['word' => $id]);
    }

    public static function fault(string $id): self
    {
        return new self('word.unknown_fault', \sprintf('"%s" is not a fault of the vocabulary.', $id), ['word' => $id]);
    }

    public static function act(string $id): self
    {
        return new self('word.unknown_act', \sprintf('"%s" is not an act of the vocabulary.', $id), ['word' => $id]);
    }

    /** @param list<string> $allowed */
    public static function outcome(string $test, string $outcome, array $allowed): self
    {
        $list = implode(', ', $allowed);

        return new self('word.unknown_outcome', \sprintf('"%s" is not an outcome of %s; it has %s.', $outcome, $test, $list), ['word' => $outcome, 'test' => $test, 'allowed' => $list]);
    }

    /** A test of which nothing is said that it could say. */
    public static function answerWanted(TestDefinition $test): self
    {
        if (null === $test->outcomes) {
            return new self('word.number_wanted', \sprintf('%s takes a number.', $test->id), ['test' => $test->id]);
        }
        $allowed = implode(', ', $test->outcomes);

        return new self('word.outcome_wanted', \sprintf('%s takes one of %s.', $test->id, $allowed), ['test' => $test->id, 'allowed' => $allowed]);
    }

    /** @param list<string> $allowed */
    public static function school(string $question, string $school, array $allowed): self
    {
        return new self(
            'word.unknown_school',
            \sprintf('"%s" is not a school of %s; it has %s.', $school, $question, implode(', ', $allowed)),
            ['word' => $school, 'question' => $question, 'allowed' => implode(', ', $allowed)],
        );
    }
}
