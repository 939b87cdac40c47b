<?php

declare(strict_types=1);

namespace AwakeShed\App\Shed;

/**
 * What somebody typed to find a machine by: the beginnings of its words, in any order. A number is meant whole (cabin 2 is
 * not cabin 22), and may be that of a job.
 */
final readonly class TypedWords
{
    private const MOST = 6;

    /** Characters of a word that are kept. */
    private const LONGEST = 40;

    /** @param list<string> $words in lower case */
    private function __construct(public array $words)
    {
    }

    public static function in(string $find): self
    {
        $words = preg_split('/[^\p{L}\p{N}#]+/u', mb_strtolower($find), flags: \PREG_SPLIT_NO_EMPTY);

        return new self(array_map(static fn (string $word): string => mb_substr($word, 0, self::LONGEST), \array_slice(false === $words ? [] : $words, 0, self::MOST)));
    }

    /** @return array{string, list<string>} a condition on the column `word`, and its values */
    public static function begins(string $word): array
    {
        return match (true) {
            str_starts_with($word, '#') => ['word = ?', [$word]],
            ctype_digit($word) => ['word IN (?, ?)', [$word, '#'.$word]],
            default => ['word LIKE ?', [$word.'%']],
        };
    }
}
