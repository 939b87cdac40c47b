<?php

declare(strict_types=1);

namespace AwakeShed\App\Once;

use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Uid\Uuid;

/**
 * The name a form gives to one intended change, so that a double tap or a resend is known for what it is; and what it
 * was sent with, so that nothing else passes under the same name.
 */
final readonly class RequestKey
{
    /** Differ from one sending of the same form to the next, and say nothing of what was meant. */
    private const NOT_MEANT = ['_token', '_csrf_token', 'request_key'];

    /** @param string $meant SHA-256 of route and content, hexadecimal; empty where nothing was sent, as on the command line */
    private function __construct(public string $value, public string $meant = '')
    {
    }

    public static function fresh(): self
    {
        return new self(Uuid::v4()->toRfc4122());
    }

    /** The key of one of several changes that one form intends: sent again, each is known by itself. */
    public function forPart(string $part): self
    {
        return new self(Uuid::v5(Uuid::fromString($this->value), $part)->toRfc4122(), $this->meant);
    }

    /** Text that is no key was never offered by a form of ours; such a request simply cannot be told from its repeat. */
    public static function parse(string $text): self
    {
        return Uuid::isValid($text) ? new self(Uuid::fromString($text)->toRfc4122()) : self::fresh();
    }

    /** The key a request carries, bound to the route and to everything that was sent with it. */
    public static function sentWith(Request $request, string $text): self
    {
        $sent = [$request->getMethod(), $request->getPathInfo(), self::meant($request->getPayload()->all()), self::files($request->files->all())];

        return new self(self::parse($text)->value, hash('sha256', serialize($sent)));
    }

    /**
     * @param array<mixed> $fields
     *
     * @return array<mixed> in the order of their names, which a second sending need not keep
     */
    private static function meant(array $fields): array
    {
        $meant = array_diff_key($fields, array_flip(self::NOT_MEANT));
        ksort($meant);

        return array_map(static fn (mixed $field): mixed => \is_array($field) ? self::meant($field) : $field, $meant);
    }

    /**
     * @param array<mixed> $files
     *
     * @return array<mixed> digests of what is in them
     */
    private static function files(array $files): array
    {
        ksort($files);

        return array_map(static fn (mixed $file): mixed => match (true) {
            \is_array($file) => self::files($file),
            $file instanceof UploadedFile && $file->isValid() => hash_file('sha256', $file->getPathname()),
            default => null,
        }, $files);
    }
}
