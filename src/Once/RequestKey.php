<?php

declare(strict_types=1);

namespace AwakeShed\App\Once;

use Symfony\Component\Uid\Uuid;

/** The name a form gives to one intended change, so that a double tap or a resend is known for what it is. */
final readonly class RequestKey
{
    private function __construct(public string $value)
    {
    }

    public static function fresh(): self
    {
        return new self(Uuid::v7()->toRfc4122());
    }

    /** The key of one of several changes that one form intends: sent again, each is known by itself. */
    public function of(string $part): self
    {
        return new self(Uuid::v5(Uuid::fromString($this->value), $part)->toRfc4122());
    }

    /** Text that is no key was never offered by a form of ours; such a request simply cannot be told from its repeat. */
    public static function parse(string $text): self
    {
        return Uuid::isValid($text) ? new self(Uuid::fromString($text)->toRfc4122()) : self::fresh();
    }
}
