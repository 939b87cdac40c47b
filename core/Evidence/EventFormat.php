<?php

declare(strict_types=1);

namespace AwakeShed\Core\Evidence;

/** One event of a case, as the open case format writes it among the findings, and back. */
final readonly class EventFormat
{
    private const OWN_KEYS = ['test', 'outcome', 'measured', 'put_right'];

    /** @return array<string, mixed> ready for JSON */
    public static function toArray(Finding|PutRight $event): array
    {
        if ($event instanceof PutRight) {
            return ['put_right' => $event->fault] + $event->extras;
        }

        return ['test' => $event->test, 'outcome' => $event->outcome()] + self::measured($event->measured) + $event->extras;
    }

    /**
     * Shapes only: whether the words are the vocabulary's is for {@see Vocabulary::check()}.
     *
     * @param array<string, mixed> $data as {@see toArray()} makes it
     *
     * @return Finding|PutRight|null null when it says nothing: a test without an outcome
     */
    public function read(array $data): Finding|PutRight|null
    {
        $extras = array_diff_key($data, array_flip(self::OWN_KEYS));
        if (isset($data['put_right']) && \is_string($data['put_right'])) {
            return new PutRight($data['put_right'], $extras);
        }
        $test = \is_string($data['test'] ?? null) ? $data['test'] : '';
        $outcome = $data['outcome'] ?? null;
        $words = array_values(array_filter(\is_array($outcome) ? $outcome : [$outcome], \is_string(...)));
        $finding = match (true) {
            \is_int($outcome), \is_float($outcome) => Finding::number($test, $outcome),
            [] !== $words => Finding::observed($test, ...$words),
            default => null,
        };
        /** @var array<string, mixed> $measured */
        $measured = \is_array($data['measured'] ?? null) ? $data['measured'] : [];

        return $finding?->measuring($measured)->carrying($extras);
    }

    /**
     * @param array<string, mixed> $measured
     *
     * @return array<string, mixed>
     */
    private static function measured(array $measured): array
    {
        return [] === $measured ? [] : ['measured' => $measured];
    }
}
