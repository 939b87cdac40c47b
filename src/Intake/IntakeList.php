<?php

declare(strict_types=1);

namespace AwakeShed\App\Intake;

use AwakeShed\App\Presentation\CsvText;
use AwakeShed\App\Unit\Measure;
use AwakeShed\App\Unit\Quantities;
use AwakeShed\App\Words\Words;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Refusal;
use AwakeShed\Core\Units\CalendarSpan;
use AwakeShed\Core\Units\Interval;
use AwakeShed\Core\Units\MonthUnit;
use Psr\Clock\ClockInterface;
use Symfony\Component\Validator\Validator\ValidatorInterface;
use Symfony\Contracts\Translation\TranslatorInterface;

/** Machines and their customers as a table: a row a machine, columns kind, name, customer, contact, stood, wanted, remarks. */
final readonly class IntakeList
{
    public const COLUMNS = ['kind', 'name', 'customer', 'contact', 'stood', 'wanted', 'remarks'];
    public const MOST_ROWS = 200;

    private const NEEDED = ['kind', 'name', 'customer'];

    public function __construct(private Words $words, private Quantities $quantities, private ValidatorInterface $validator, private TranslatorInterface $translator, private ClockInterface $clock)
    {
    }

    /** An example of the table, to be filled in. */
    public function template(): string
    {
        return CsvText::fromRows(self::COLUMNS, [
            ['mower', 'Reedmace 46', 'Cabin 7', 'by the jetty', '6 years', '', 'started last in spring'],
            ['snowblower', 'Tarnsmith path', 'Cabin 12', '', '8', $this->clock->now()->modify('+14 days')->format('Y-m-d'), ''],
        ]);
    }

    /** @return array{array<int, IntakeInput>, array<int, list<string>>} by line, what is to be taken in, and what is wrong */
    public function read(string $text): array
    {
        [$columns, $rows] = CsvText::read($text);
        $missing = array_diff(self::NEEDED, $columns);
        if ([] !== $missing) {
            return [[], [1 => [$this->translator->trans('The first line names the columns: %columns%.', ['%columns%' => implode(', ', self::COLUMNS)])]]];
        }
        $machines = [];
        $problems = [];
        foreach ($rows as $line => $row) {
            if (\count($machines) + \count($problems) >= self::MOST_ROWS) {
                $problems[$line] = [$this->translator->trans('At most %most% machines at a time.', ['%most%' => self::MOST_ROWS])];
                break;
            }
            [$machine, $wrong] = $this->machine($row);
            if ([] === $wrong) {
                $machines[$line] = $machine;
            } else {
                $problems[$line] = $wrong;
            }
        }

        return [$machines, $problems];
    }

    /**
     * @param array<string, string> $row
     *
     * @return array{IntakeInput, list<string>} and what is wrong with it
     */
    private function machine(array $row): array
    {
        $machine = new IntakeInput();
        $wrong = [];
        $machine->kind = $this->kind($row['kind']);
        if (null === $machine->kind) {
            $wrong[] = $this->words->notKnown($row['kind'], MachineKind::cases());
        }
        $machine->label = $row['name'];
        $machine->ownerName = $row['customer'];
        $machine->ownerContact = $row['contact'] ?? null;
        $machine->remarks = $row['remarks'] ?? null;
        try {
            $machine->idle = '' === ($row['stood'] ?? '') ? null : $this->stood($row['stood'] ?? '');
        } catch (Refusal $refusal) {
            $wrong[] = $this->words->refusal($refusal);
        }
        $wanted = $row['wanted'] ?? '';
        $day = \DateTimeImmutable::createFromFormat('!Y-m-d', $wanted);
        $machine->wantedBy = false === $day ? null : $day;
        if ('' !== $wanted && $machine->wantedBy?->format('Y-m-d') !== $wanted) {
            $wrong[] = $this->translator->trans('“%day%” is no day: year, month, day, such as %such%.', ['%day%' => mb_substr($wanted, 0, 40), '%such%' => '2026-12-05']);
        }
        foreach ($this->validator->validate($machine) as $violation) {
            if ('kind' !== $violation->getPropertyPath()) {
                $wrong[] = (string) $violation->getMessage();
            }
        }

        return [$machine, $wrong];
    }

    /** By its id, or as the reader calls it. */
    private function kind(string $word): ?MachineKind
    {
        foreach (MachineKind::cases() as $kind) {
            if (\in_array(mb_strtolower($word), [$kind->value, mb_strtolower($this->words->outcome('kind', $kind->value))], true)) {
                return $kind;
            }
        }

        return null;
    }

    /** @throws Refusal */
    private function stood(string $typed): CalendarSpan
    {
        $possible = new Interval(0, 1200, MonthUnit::Month);
        $span = $this->quantities->read($typed, Measure::Age, CalendarSpan::class, null, $possible);
        $possible->demand($span);

        return $span;
    }
}
