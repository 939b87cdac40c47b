<?php

declare(strict_types=1);

namespace AwakeShed\App\Words;

use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Translation\TranslatorBagInterface;
use Symfony\Contracts\Translation\TranslatorInterface;

/** Looks words up, and spells an id out where nothing is written of it. */
final readonly class Catalogue
{
    public function __construct(#[Autowire(service: 'translator')] private TranslatorInterface&TranslatorBagInterface $translator)
    {
    }

    /** The words of a key; null where nothing is written. */
    public function find(string $key, string $domain): ?string
    {
        return $this->translator->getCatalogue()->has($key, $domain) ? $this->translator->trans($key, [], $domain) : null;
    }

    /** @param array<string, mixed> $parts what is put in for the names in the text */
    public function say(string $text, array $parts = [], ?string $domain = null): string
    {
        return $this->translator->trans($text, $parts, $domain);
    }

    public static function spelledOut(string $id): string
    {
        return ucfirst(str_replace(['_', '.'], [' ', ': '], $id));
    }
}
