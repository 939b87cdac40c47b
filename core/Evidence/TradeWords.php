<?php

declare(strict_types=1);

namespace AwakeShed\Core\Evidence;

use AwakeShed\Core\Table;

/** How the trade says it where the vocabulary says it otherwise (data/trade-words.json; common practice). */
final readonly class TradeWords
{
    /** Words that tell nothing apart in what is said whole; in two or three beginnings of words each counts. */
    private const SMALL = ['an', 'in', 'at', 'was', 'were', 'has', 'had', 'are', 'be', 'with', 'when', 'then', 'very', 'some', 'still', 'there', 'this', 'that', 'got', 'gets', 'just', 'up', 'all', 'completely', 'solid', 'from', 'for', 'its'];

    /** Endings that tell nothing apart: "surges", "surging", "dripping". What was cleaned is another thing than what is clean. */
    private const ENDING = '/(?<=\p{L}{3})(?:ing|es|s)$/u';
    private const DOUBLED = '/(\p{L})\g{1}$/u';

    /** A phrase of one word lies in too many lines. */
    private const LEAST_WITHIN = 2;

    /**
     * @param array<string, list<string>> $phrases what a phrase may mean, the likeliest first: ids of tests with their outcome, or of acts
     * @param array<string, list<string>> $words   the vocabulary's words a single word stands for
     * @param array<string, string>       $alike   by word, the one that is said for all that mean the same in a phrase
     */
    private function __construct(private array $phrases, private array $words, private array $alike)
    {
    }

    public static function shipped(): self
    {
        /** @var array{phrases: list<array{say: list<string>, means: list<string>}>, words: array<string, list<string>>, alike: array<string, list<string>>} $data */
        $data = Table::read(__DIR__.'/data/trade-words.json');
        $alike = [];
        foreach ($data['alike'] as $said => $others) {
            $alike += array_fill_keys($others, $said);
        }
        $phrases = [];
        foreach ($data['phrases'] as ['say' => $say, 'means' => $means]) {
            foreach ($say as $phrase) {
                $phrases[implode(' ', self::key(explode(' ', $phrase), $alike))] = $means;
            }
        }

        return new self($phrases, $data['words'], $alike);
    }

    public static function none(): self
    {
        return new self([], [], []);
    }

    /**
     * @param list<string> $words
     *
     * @return list<string> what they may mean together, in any order; none where it is no phrase of the trade
     */
    public function meant(array $words): array
    {
        return $this->phrases[implode(' ', self::key($words, $this->alike))] ?? [];
    }

    /**
     * @param list<string> $words
     *
     * @return list<string> what the phrases among them may mean, that of the most words first
     */
    public function within(array $words): array
    {
        $typed = self::key($words, $this->alike);
        $found = [];
        foreach ($this->phrases as $phrase => $means) {
            $said = explode(' ', $phrase);
            if (\count($said) >= self::LEAST_WITHIN && [] === array_diff($said, $typed)) {
                $found[] = [\count($said), $means];
            }
        }
        usort($found, static fn (array $one, array $other): int => $other[0] <=> $one[0]);

        return array_values(array_unique(array_merge([], ...array_column($found, 1))));
    }

    /**
     * @param list<string> $words
     *
     * @return list<string>
     */
    public static function telling(array $words): array
    {
        return array_values(array_diff($words, Shorthand::SMALL, self::SMALL));
    }

    /** @return list<string> */
    public function standsFor(string $word): array
    {
        return $this->words[$word] ?? [];
    }

    /**
     * @param list<string>          $words
     * @param array<string, string> $alike
     *
     * @return list<string> those that tell something, as one would say them all, in the order of the alphabet
     */
    private static function key(array $words, array $alike): array
    {
        // An apostrophe is left out by some, and typed by others.
        $words = self::telling(array_map(static fn (string $word): string => str_replace(["'", '’'], '', $word), $words));
        $words = array_map(static fn (string $word): string => (string) preg_replace([self::ENDING, self::DOUBLED], ['', '$1'], $alike[$word] ?? $word), $words);
        sort($words);

        return $words;
    }
}
