<?php

declare(strict_types=1);

namespace AwakeShed\App\Words;

use AwakeShed\App\Reader\Dates;

/** The words of a job's sheet: what is written on it besides its evidence. */
final readonly class SheetWords
{
    public function __construct(private Catalogue $catalogue, private Dates $dates)
    {
    }

    /** A line of a job's sheet, e.g. "Oil it holds, mL". */
    public function line(string $key): string
    {
        return $this->catalogue->find('sheet.'.$key, 'trade') ?? Catalogue::spelledOut($key);
    }

    /** What stands on such a line; a dash where nothing does. */
    public function value(string $key, mixed $value): string
    {
        return match (true) {
            \is_array($value) => implode(', ', array_map(fn (mixed $school): string => $this->value('school', $school), $value)),
            \is_bool($value) => $this->catalogue->say($value ? 'yes' : 'no'),
            'handed_back_at' === $key && \is_string($value) => $this->dates->moment(new \DateTimeImmutable($value)),
            'wanted_by' === $key && \is_string($value) => $this->dates->day(new \DateTimeImmutable($value)),
            \is_string($value) && '' !== $value => $this->catalogue->find('outcome.'.$key.'.'.$value, 'trade') ?? $value,
            is_numeric($value) => (string) $value,
            default => '–',
        };
    }
}
