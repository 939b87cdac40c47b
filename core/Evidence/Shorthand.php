<?php

declare(strict_types=1);

namespace AwakeShed\Core\Evidence;

use AwakeShed\Core\Units\DecimalText;

/**
 * Reads findings as an old hand writes them: the beginnings of a few words, of the test and of what it said, in any
 * order; a semicolon between findings. "pil bl" is the pilot jet blocked, "idle 26" stood for 26 months.
 */
final readonly class Shorthand
{
    /** Where the best reading is no better than the next by so much, it is asked instead of taken. */
    private const CLEARLY_BETTER = 0.15;

    /** A word of what was said tells more than one of the test's name. */
    private const OUTCOME_WEIGHT = 1.2;

    private const UNSAID = 0.08;

    /** The first word of a name says more than the ones after it: so much less for each. */
    private const LATER = 0.15;

    /** What may be a look or an act is a look first: it changes nothing that was seen. */
    private const ACT_WEIGHT = 0.8;

    /** Words that tell nothing apart. */
    public const SMALL = ['the', 'a', 'of', 'it', 'to', 'is', 'and', 'or', 'like'];

    /** A phrase of the trade goes before whatever its words alone might be. */
    private const PHRASE_SCORE = 2.0;

    /** Of a line that nothing fits whole, so much has to be understood before anything is offered. */
    private const LEAST_UNDERSTOOD = 0.5;

    /** A word that stands for another tells a little less than the other. */
    private const STANDS_FOR = 0.9;

    /**
     * @param list<array{test: string, outcome: string|null, testWords: list<string>, outcomeWords: list<string>, act?: ActDefinition}> $lexicon
     *                                                                                                                                           what can be said, in lower case; a null outcome takes a number
     */
    public function __construct(private array $lexicon, private TradeWords $trade)
    {
    }

    /** @return list<string> the words of a name or an id, as the lexicon wants them */
    public static function words(string $text): array
    {
        preg_match_all('/[\p{L}\p{N}]+/u', mb_strtolower($text), $words);

        return array_values(array_unique(array_diff($words[0], self::SMALL)));
    }

    /** @return list<string> a written line, finding by finding */
    public static function split(string $line): array
    {
        return array_values(array_filter(array_map(trim(...), explode(';', $line)), static fn (string $part): bool => '' !== $part));
    }

    /**
     * @param string $part of one finding
     *
     * @return list<Finding|Done> what it may mean, the likeliest first
     */
    public function readings(string $part, int $most = 8): array
    {
        $found = $this->scored($part);
        $offered = [] === $found ? $this->partly($part) : array_column($found, 0);

        return \array_slice($offered, 0, $most);
    }

    /** @return Finding|Done|null what it means; null where that is nothing, or not plain */
    public function plain(string $part): Finding|Done|null
    {
        $found = $this->scored($part);
        if ([] === $found || (isset($found[1]) && $found[0][1] - $found[1][1] < self::CLEARLY_BETTER)) {
            return null;
        }

        return $found[0][0];
    }

    /** @return list<array{Finding|Done, float}> with the score, the best first */
    private function scored(string $part): array
    {
        $exact = $this->spelledOut($part);
        if (null !== $exact) {
            return [[$exact, self::PHRASE_SCORE]];
        }
        $words = self::typed($part);
        $numbers = [];
        foreach ($words as $place => $word) {
            if (1 === preg_match('/^-?\d+([.,]\d+)*$/', $word)) {
                $numbers = DecimalText::read($word)->readings;
                unset($words[$place]);
            }
        }
        $phrases = [] === $numbers ? $this->phrases(array_values($words)) : [];
        // The longest choose first: a short one may fit where only a long one does.
        usort($words, static fn (string $one, string $other): int => mb_strlen($other) <=> mb_strlen($one));
        $found = [];
        foreach ([] === $words ? [] : $this->lexicon as $place => $entry) {
            $act = $entry['act'] ?? null;
            $takesNumber = null === $entry['outcome'] && null === $act;
            $score = $takesNumber === ([] === $numbers) ? null : $this->score($words, $entry);
            if (null !== $score) {
                $meant = match (true) {
                    null !== $act => [new Done($act)],
                    // "3,600" may be two numbers: each is offered, and neither is plain.
                    null === $entry['outcome'] => array_map(static fn (float $number): Finding => Finding::number($entry['test'], $number), $numbers),
                    default => [Finding::observed($entry['test'], $entry['outcome'])],
                };
                foreach ($meant as $one) {
                    $found[] = [$one, null === $act ? $score : self::ACT_WEIGHT * $score, $place];
                }
            }
        }
        usort($found, static fn (array $one, array $other): int => [$other[1], $one[2]] <=> [$one[1], $other[2]]);

        $found = array_map(static fn (array $one): array => [$one[0], $one[1]], $found);

        $named = array_map(static fn (array $one): string => self::id($one[0]), $phrases);

        return [...$phrases, ...array_values(array_filter($found, static fn (array $one): bool => !\in_array(self::id($one[0]), $named, true)))];
    }

    /** @return array<int, string> */
    private static function typed(string $part): array
    {
        $typed = preg_split('/[\s:=]+|,(?!\d)|(?<!\d),|(?<=\p{L})-(?=\p{L})/u', mb_strtolower(trim($part)), -1, \PREG_SPLIT_NO_EMPTY);

        return array_diff(false === $typed ? [] : $typed, self::SMALL);
    }

    /**
     * What a line may mean of which some words are understood: offered, and never taken.
     *
     * @return list<Finding|Done>
     */
    private function partly(string $part): array
    {
        $words = TradeWords::telling(array_values(self::typed($part)));
        $found = array_values(array_filter(array_map($this->spelledOut(...), $this->trade->within($words)), is_object(...)));
        $ranked = [];
        foreach ($this->lexicon as $place => $entry) {
            if (null === $entry['outcome']) {
                continue;
            }
            $understood = array_values(array_filter($words, fn (string $word): bool => $this->fitsAny([$word], [...$entry['testWords'], ...$entry['outcomeWords']])));
            $score = [] === $understood ? null : $this->score($understood, $entry);
            // Something of the test and something of what it said: either alone fits too much.
            if (null !== $score && $this->fitsAny($words, $entry['testWords']) && $this->fitsAny($words, $entry['outcomeWords']) && \count($understood) >= self::LEAST_UNDERSTOOD * \count($words)) {
                $ranked[] = [Finding::observed($entry['test'], $entry['outcome']), \count($understood) + $score, $place];
            }
        }
        usort($ranked, static fn (array $one, array $other): int => [$other[1], $one[2]] <=> [$one[1], $other[2]]);
        $ids = array_map(self::id(...), $found);

        return [...$found, ...array_values(array_filter(array_column($ranked, 0), static fn (Finding $one): bool => !\in_array(self::id($one), $ids, true)))];
    }

    /**
     * @param list<string> $words
     *
     * @return list<array{Finding|Done, float}>
     */
    private function phrases(array $words): array
    {
        $found = [];
        foreach ($this->trade->meant($words) as $meaning) {
            $one = $this->spelledOut($meaning);
            if (null !== $one) {
                // Of several none is plain: they are offered in the order of the trade.
                $found[] = [$one, self::PHRASE_SCORE];
            }
        }

        return $found;
    }

    /** By the vocabulary's own ids, as completion writes them: "look.plug dry". */
    private function spelledOut(string $part): Finding|Done|null
    {
        [$test, $said] = [...explode(' ', $part, 2), ''];
        foreach ($this->lexicon as $entry) {
            if (isset($entry['act']) && $entry['act']->id === trim($part)) {
                return new Done($entry['act']);
            }
            if ($entry['test'] === $test && $entry['outcome'] === $said) {
                return Finding::observed($test, $said);
            }
            if ($entry['test'] === $test && null === $entry['outcome'] && !isset($entry['act']) && is_numeric($said)) {
                return Finding::number($test, (float) $said);
            }
        }

        return null;
    }

    /**
     * @param list<string>                                                    $typed
     * @param array{testWords: list<string>, outcomeWords: list<string>, ...} $entry
     *
     * @return float|null null when a word begins none of the entry's
     */
    private function score(array $typed, array $entry): ?float
    {
        $score = 0.0;
        $used = [];
        foreach ($typed as $word) {
            $worth = [];
            foreach (['testWords' => 1.0, 'outcomeWords' => self::OUTCOME_WEIGHT] as $where => $weight) {
                foreach ($entry[$where] as $place => $known) {
                    $share = isset($used[$where.$place]) ? null : $this->likeness($word, $known);
                    if (null !== $share) {
                        $worth[$where.$place] = $weight * $share / (1 + self::LATER * $place);
                    }
                }
            }
            if ([] === $worth) {
                return null;
            }
            arsort($worth);
            $best = array_key_first($worth);
            $used[$best] = true;
            $score += $worth[$best];
        }
        // Names said in full go before longer ones that merely begin so.
        $unsaid = \count($entry['testWords']) - \count(array_filter(array_keys($used), static fn (string $key): bool => str_starts_with($key, 'testWords')));

        return $score / \count($typed) - self::UNSAID * $unsaid;
    }

    /**
     * @param list<string> $typed
     * @param list<string> $known
     */
    private function fitsAny(array $typed, array $known): bool
    {
        foreach ($typed as $word) {
            foreach ($known as $one) {
                if (null !== $this->likeness($word, $one)) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return float|null null for none, up to 1 for the word itself */
    private function likeness(string $word, string $known): ?float
    {
        if (str_starts_with($known, $word)) {
            return 0.5 + 0.5 * mb_strlen($word) / mb_strlen($known);
        }

        return \in_array($known, $this->trade->standsFor($word), true) ? self::STANDS_FOR : null;
    }

    private static function id(Finding|Done $meant): string
    {
        return $meant instanceof Done ? $meant->act->id : $meant->test.' '.implode(' ', $meant->outcomes);
    }
}
