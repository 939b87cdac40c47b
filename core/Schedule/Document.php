<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule;

/**
 * One object of a document with what is wrong in it noted at its place. What is read wrong is replaced by something
 * possible, so that reading goes on and everything wrong is found in one go.
 */
final readonly class Document
{
    /** Minutes and weights above it would not add up exactly any more. */
    public const MOST = 10_000_000_000;

    /** @param array<array-key, mixed> $fields */
    private function __construct(public string $pointer, private array $fields, private Complaints $complaints)
    {
    }

    /** @param list<string> $known names of what may stand in it */
    public static function read(mixed $value, string $pointer, array $known, Complaints $complaints): self
    {
        if (!$value instanceof \stdClass) {
            $complaints->add($pointer, 'An object is expected.');

            return new self($pointer, [], $complaints);
        }
        $fields = get_object_vars($value);
        foreach (array_keys($fields) as $name) {
            if (!\in_array((string) $name, $known, true)) {
                $complaints->add(self::at($pointer, (string) $name), \sprintf('"%s" is not known here; known are %s.', $name, implode(', ', $known)));
            }
        }

        return new self($pointer, array_filter($fields, static fn (mixed $one): bool => null !== $one), $complaints);
    }

    public static function at(string $pointer, string|int $step): string
    {
        return $pointer.'/'.str_replace(['~', '/'], ['~0', '~1'], (string) $step);
    }

    public function complain(string $field, string $message): void
    {
        $this->complaints->add('' === $field ? $this->pointer : self::at($this->pointer, $field), $message);
    }

    public function has(string $field): bool
    {
        return isset($this->fields[$field]);
    }

    public function value(string $field): mixed
    {
        return $this->fields[$field] ?? null;
    }

    public function text(string $field): string
    {
        $value = $this->fields[$field] ?? null;
        if (\is_string($value) && '' !== $value) {
            return $value;
        }
        $this->complain($field, null === $value ? \sprintf('"%s" is missing.', $field) : 'A text that is not empty is expected.');

        return '';
    }

    public function optionalText(string $field): ?string
    {
        $value = $this->fields[$field] ?? null;
        if (null !== $value && !\is_string($value)) {
            $this->complain($field, 'A text is expected.');
        }

        return \is_string($value) ? $value : null;
    }

    public function flag(string $field): bool
    {
        $value = $this->fields[$field] ?? false;
        if (!\is_bool($value)) {
            $this->complain($field, 'true or false is expected.');
        }

        return true === $value;
    }

    /** @return int|null null where it is not there, or wrong */
    public function optionalNumber(string $field, int $least = -self::MOST, int $most = self::MOST): ?int
    {
        return isset($this->fields[$field]) ? $this->whole($this->fields[$field], self::at($this->pointer, $field), $least, $most) : null;
    }

    public function number(string $field, int $least): int
    {
        if (!isset($this->fields[$field])) {
            $this->complain($field, \sprintf('"%s" is missing.', $field));
        }

        return $this->optionalNumber($field, $least) ?? $least;
    }

    /** @return list<mixed> */
    public function list(string $field): array
    {
        $value = $this->fields[$field] ?? null;
        if (\is_array($value) && array_is_list($value)) {
            return $value;
        }
        $this->complain($field, null === $value ? \sprintf('"%s" is missing.', $field) : 'A list is expected.');

        return [];
    }

    /** A whole number, 25.0 being one; null where it is none, or outside what is possible. */
    public function whole(mixed $value, string $pointer, int $least = -self::MOST, int $most = self::MOST): ?int
    {
        $whole = \is_float($value) && floor($value) === $value && abs($value) <= self::MOST ? (int) $value : $value;
        if (\is_int($whole) && $whole >= $least && $whole <= $most) {
            return $whole;
        }
        $this->complaints->add($pointer, -self::MOST === $least ? 'A whole number is expected.' : \sprintf('A whole number from %d to %d is expected.', $least, $most));

        return null;
    }
}
