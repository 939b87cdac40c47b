<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** Closes small secrets that must be read again, so that a copy of the database alone does not give them away. */
final readonly class Seal
{
    private string $key;

    public function __construct(#[Autowire('%kernel.secret%')] #[\SensitiveParameter] string $secret)
    {
        $this->key = hash_hkdf('sha256', $secret, \SODIUM_CRYPTO_SECRETBOX_KEYBYTES, 'awake-shed sealed secrets');
    }

    public function close(#[\SensitiveParameter] string $text): string
    {
        $nonce = random_bytes(\SODIUM_CRYPTO_SECRETBOX_NONCEBYTES);

        return base64_encode($nonce.sodium_crypto_secretbox($text, $nonce, $this->key));
    }

    /** @return string|null null when it was closed with another secret, or changed since */
    public function open(string $sealed): ?string
    {
        $bytes = (string) base64_decode($sealed, true);
        if (\strlen($bytes) <= \SODIUM_CRYPTO_SECRETBOX_NONCEBYTES) {
            return null;
        }
        $text = sodium_crypto_secretbox_open(substr($bytes, \SODIUM_CRYPTO_SECRETBOX_NONCEBYTES), substr($bytes, 0, \SODIUM_CRYPTO_SECRETBOX_NONCEBYTES), $this->key);

        return false === $text ? null : $text;
    }
}
