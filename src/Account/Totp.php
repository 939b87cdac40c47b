<?php

declare(strict_types=1);

namespace AwakeShed\App\Account;

/**
 * Codes that follow the time, as authenticator apps show them.
 *
 * Published: RFC 6238 (TOTP) with SHA-1, 30 s steps and 6 digits, over RFC 4226 (HOTP); secrets in Base32 of RFC 4648.
 */
final readonly class Totp
{
    private const STEP = 30;
    private const ALPHABET = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567';

    /** Steps to either side that are taken as well: a phone's clock is off, and typing takes time (RFC 6238, 5.2). */
    private const TOLERANCE = 1;

    private function __construct()
    {
    }

    /** @return string 20 random bytes (RFC 4226, R6) in Base32 */
    public static function secret(): string
    {
        return self::base32(random_bytes(20));
    }

    /**
     * @param int<0, max> $at     seconds since 1970
     * @param int<1, 8>   $digits
     */
    public static function code(string $secret, int $at, int $digits = 6, string $hash = 'sha1'): string
    {
        return self::ofStep(self::bytes($secret), intdiv($at, self::STEP), $digits, $hash);
    }

    /** @return int|null the step of time whose code it is; null when it is none of those about now */
    public static function step(string $secret, string $typed, int $now): ?int
    {
        $code = (string) preg_replace('/\D/', '', $typed);
        $bytes = self::bytes($secret);
        for ($off = -self::TOLERANCE; $off <= self::TOLERANCE; ++$off) {
            $step = intdiv($now, self::STEP) + $off;
            if (hash_equals(self::ofStep($bytes, $step, 6, 'sha1'), $code)) {
                return $step;
            }
        }

        return null;
    }

    /** @return string an address that authenticator apps read off a QR code */
    public static function address(string $secret, string $shed, string $name): string
    {
        return \sprintf('otpauth://totp/%s:%s?%s', rawurlencode($shed), rawurlencode($name), http_build_query(['secret' => $secret, 'issuer' => $shed], encoding_type: \PHP_QUERY_RFC3986));
    }

    private static function ofStep(string $bytes, int $step, int $digits, string $hash): string
    {
        $digest = hash_hmac($hash, pack('J', $step), $bytes, true);
        $offset = \ord($digest[-1]) & 0x0F;
        $number = (int) hexdec(bin2hex(substr($digest, $offset, 4))) & 0x7FFFFFFF;

        return str_pad((string) ($number % 10 ** $digits), $digits, '0', \STR_PAD_LEFT);
    }

    public static function base32(string $bytes): string
    {
        $bits = implode('', array_map(static fn (string $byte): string => str_pad(decbin(\ord($byte)), 8, '0', \STR_PAD_LEFT), str_split($bytes)));

        return implode('', array_map(static fn (string $five): string => self::ALPHABET[(int) bindec(str_pad($five, 5, '0'))], str_split($bits, 5)));
    }

    private static function bytes(string $base32): string
    {
        $bits = implode('', array_map(static fn (string $letter): string => str_pad(decbin((int) strpos(self::ALPHABET, $letter)), 5, '0', \STR_PAD_LEFT), str_split($base32)));

        return implode('', array_map(static fn (string $eight): string => \chr((int) bindec($eight)), str_split(substr($bits, 0, \strlen($bits) - \strlen($bits) % 8), 8)));
    }
}
