<?php

declare(strict_types=1);

namespace AwakeShed\Core;

/** A refusal that states its reason and figures; each kind of failure is a final subclass with a named constructor a cause. */
abstract class StatedRefusal extends \DomainException implements Refusal
{
    /**
     * @param string                          $reason  stable, dotted name of what is wrong
     * @param string                          $message plain English, for logs and the command line
     * @param array<string, string|int|float> $figures of the sentence
     */
    final protected function __construct(private readonly string $reason, string $message, private readonly array $figures = [])
    {
        parent::__construct($message);
    }

    final public function reason(): string
    {
        return $this->reason;
    }

    final public function figures(): array
    {
        return $this->figures;
    }
}
