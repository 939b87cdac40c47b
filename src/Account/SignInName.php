<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

/** The name a person signs in by, as it is stored and compared: one spelling for what looks the same. */
final readonly class SignInName
{
    private function __construct()
    {
    }

    /** Wide, ligated and capital letters become the plain small ones (Unicode NFKC and case folding); accents stay what they are. */
    public static function fromTyped(string $typed): string
    {
        $text = trim(mb_scrub($typed));
        $plain = \Normalizer::normalize($text, \Normalizer::FORM_KC);

        return mb_convert_case(\is_string($plain) ? $plain : $text, \MB_CASE_FOLD, 'UTF-8');
    }

    /** What somebody else's name could be mistaken for: without accents, in Latin letters. */
    public static function looks(string $name): string
    {
        $plain = transliterator_transliterate('Any-Latin; Latin-ASCII; Lower()', self::fromTyped($name));

        return (string) preg_replace('/[^a-z0-9]/', '', strtr(false === $plain ? $name : $plain, ['0' => 'o', '1' => 'l', 'i' => 'l']));
    }
}
