<?php

declare(strict_types=1);

namespace AwakeShed\Core\Evidence;

/** One event of a case, as the open case format writes it among the findings, and back. */
final readonly class EventFormat
{
    private const OWN_KEYS = ['test', 'outcome', 'measured', 'put_right', 'done'];

    public function __construct(private Vocabulary $vocabulary)
    {
    }

    /** @return array<string, mixed> ready for JSON */
    public static function toArray(Finding|PutRight|Done $event): array
    {
        return match (true) {
            $event instanceof PutRight => ['put_right' => $event->fault],
            $event instanceof Done => ['done' => $event->act->id] + self::measured($event->measured),
            $event instanceof Finding => ['test' => $event->test, 'outcome' => $event->outcome()] + self::measured($event->measured),
        } + $event->extras;
    }

    /**
     * Shapes only, but for acts, which carry what they mean: whether the other words are the vocabulary's is for
     * {@see Vocabulary::check()}.
     *
     * @param array<string, mixed> $data as {@see toArray()} makes it
     *
     * @return Finding|PutRight|Done|null null when it says nothing: a test without an outcome
     *
     * @throws UnknownWord when it is an act that the vocabulary does not have
     */
    public function read(array $data): Finding|PutRight|Done|null
    {
        $extras = array_diff_key($data, array_flip(self::OWN_KEYS));
        /** @var array<string, mixed> $measured */
        $measured = \is_array($data['measured'] ?? null) ? $data['measured'] : [];
        if (isset($data['put_right']) && \is_string($data['put_right'])) {
            return new PutRight($data['put_right'], $extras);
        }
        if (isset($data['done']) && \is_string($data['done'])) {
            return new Done($this->vocabulary->act($data['done']), $measured, $extras);
        }
        $test = \is_string($data['test'] ?? null) ? $data['test'] : '';
        $outcome = $data['outcome'] ?? null;
        $words = array_values(array_filter(\is_array($outcome) ? $outcome : [$outcome], \is_string(...)));
        $finding = match (true) {
            \is_int($outcome), \is_float($outcome) => Finding::number($test, $outcome),
            [] !== $words => Finding::observed($test, ...$words),
            default => null,
        };

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
