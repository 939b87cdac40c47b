<?php

declare(strict_types=1);

namespace AwakeShed\Core\Evidence;

use AwakeShed\Core\Table;

/** How the trade says it where the vocabulary says it otherwise (data/trade-words.json; common practice). */
final readonly class TradeWords
{
    /**
     * @param array<string, list<string>> $phrases what a phrase may mean, the likeliest first: ids of tests with their outcome, or of acts
     * @param array<string, list<string>> $words   the vocabulary's words a single word stands for
     */
    private function __construct(private array $phrases, private array $words)
    {
    }

    public static function shipped(): self
    {
        /** @var array{phrases: list<array{say: list<string>, means: list<string>}>, words: array<string, list<string>>} $data */
        $data = Table::read(__DIR__.'/data/trade-words.json');
        $phrases = [];
        foreach ($data['phrases'] as ['say' => $say, 'means' => $means]) {
            foreach ($say as $phrase) {
                $phrases[self::key(explode(' ', $phrase))] = $means;
            }
        }

        return new self($phrases, $data['words']);
    }

    public static function none(): self
    {
        return new self([], []);
    }

    /**
     * @param list<string> $words
     *
     * @return list<string> what they may mean together, in any order; none where it is no phrase of the trade
     */
    public function meant(array $words): array
    {
        return $this->phrases[self::key($words)] ?? [];
    }

    /** @return list<string> */
    public function standsFor(string $word): array
    {
        return $this->words[$word] ?? [];
    }

    /** @param list<string> $words */
    private static function key(array $words): string
    {
        // An apostrophe is left out by some, and typed by others.
        $words = array_diff(array_map(static fn (string $word): string => str_replace(["'", '’'], '', $word), $words), Shorthand::SMALL);
        sort($words);

        return implode(' ', $words);
    }
}
