<?php

declare(strict_types=1);

namespace AwakeShed\Core\Service;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Table;

/** How often one item of service is due (data/intervals.json; common practice, after the maker's manual). */
final readonly class Interval
{
    /**
     * @param string                      $step  of the stage of service
     * @param array<string, list<string>> $found findings by test that make it due at once
     */
    private function __construct(public string $step, public int $months, public int $hours, private array $found)
    {
    }

    /** @return array<string, self> by step */
    public static function shipped(): array
    {
        /** @var array{intervals: array<string, array{months: int, hours: int, found: array<string, list<string>>}>} $data */
        $data = Table::read(__DIR__.'/data/intervals.json');
        $intervals = [];
        foreach ($data['intervals'] as $step => $one) {
            $intervals[$step] = new self($step, $one['months'], $one['hours'], $one['found']);
        }

        return $intervals;
    }

    public function isFoundDue(CaseFile $case): bool
    {
        return $case->says($this->found);
    }

    /**
     * @param float|null $hoursAYear that it runs; null where nobody has said
     *
     * @return int months until it is due again: by the calendar, or sooner by its hours
     */
    public function monthsFor(?float $hoursAYear): int
    {
        return null === $hoursAYear || $hoursAYear <= 0.0 ? $this->months : max(1, min($this->months, (int) floor(12 * $this->hours / $hoursAYear)));
    }
}
