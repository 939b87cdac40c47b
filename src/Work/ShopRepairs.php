<?php

declare(strict_types=1);

namespace AwakeShed\App\Work;

use AwakeShed\App\Evidence\RecordReader;

/** What this shop last paid, and how its ways with a carburetor turned out: what the comparison of the ways is begun with. */
final readonly class ShopRepairs
{
    /** The step whose choices are the ways, in order: a later other one means that the one before did not do. */
    private const WAY = 'decide.way';

    public function __construct(private RecordReader $record)
    {
    }

    /** @return array<string, string> inputs of the calculation "repair", as they are typed */
    public function given(): array
    {
        return array_map(strval(...), $this->counts() + $this->prices());
    }

    /** @return array<string, int> */
    private function counts(): array
    {
        $rows = $this->record->choicesOfMachinesGone(self::WAY);
        $counts = [];
        foreach ($rows as $place => ['job' => $job, 'choice' => $way]) {
            $next = $rows[$place + 1] ?? null;
            $isLast = null === $next || $next['job'] !== $job;
            if ($isLast || $next['choice'] !== $way) {
                $input = $way.($isLast ? '_worked' : '_failed');
                $counts[$input] = ($counts[$input] ?? 0) + 1;
            }
        }

        return $counts;
    }

    /** @return array<string, float|int|string> of the last comparison that was put into a record */
    private function prices(): array
    {
        $prices = [];
        foreach ($this->record->lastWorkedOut('repair') as $input => $value) {
            // What was true of that machine, or counted then, is not true of this one.
            if (\is_string($input) && (\is_float($value) || \is_int($value)) && 1 !== preg_match('/_worked$|_failed$|^machine_/', $input)) {
                $prices[$input] = $value;
            }
        }

        return $prices;
    }
}
