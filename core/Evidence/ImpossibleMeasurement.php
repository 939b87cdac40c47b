<?php

declare(strict_types=1);

namespace AwakeShed\Core\Evidence;

use AwakeShed\Core\Refusal;

/** A reading behind a finding that nothing can have, such as a negative volume. */
final class ImpossibleMeasurement extends \DomainException implements Refusal
{
    /** @param array<string, string|float|int> $figures */
    private function __construct(string $message, private readonly array $figures)
    {
        parent::__construct($message);
    }

    public static function below(string $key, float|int $value, float $floor): self
    {
        return new self(\sprintf('"%s" is %s; it cannot be below %s.', $key, $value, $floor), ['key' => $key, 'value' => $value, 'least' => $floor]);
    }

    public function reason(): string
    {
        return 'measured.below_floor';
    }

    public function figures(): array
    {
        return $this->figures;
    }
}
