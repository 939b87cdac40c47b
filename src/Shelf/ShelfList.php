<?php

declare(strict_types=1);

namespace AwakeShed\App\Shelf;

use AwakeShed\App\Presentation\CsvText;
use AwakeShed\App\Words\Words;
use AwakeShed\Core\Refusal;
use AwakeShed\Core\Units\DecimalText;
use Symfony\Contracts\Translation\TranslatorInterface;

/** The shelf as a table, out and in: a row a part. */
final readonly class ShelfList
{
    public const COLUMNS = ['part', 'number', 'condition', 'place', 'count', 'order_below', 'fits', 'comes_off', 'price'];
    private const MOST_ROWS = 500;

    public function __construct(private Words $words, private TranslatorInterface $translator)
    {
    }

    /** @param list<ShelfPart> $parts */
    public function write(array $parts): string
    {
        return CsvText::fromRows(self::COLUMNS, array_map(static fn (ShelfPart $part): array => [
            $part->getName(), $part->getNumber(), $part->getCondition()->value, $part->getPlace(), $part->getCount(), $part->getLeast(), $part->getFits(), $part->getComesOff(), $part->getPrice(),
        ], $parts));
    }

    /** @return array{list<array{ShelfPart, int}>, array<int, string>} parts with how many of each; what is wrong, by line */
    public function read(string $text): array
    {
        [$columns, $rows] = CsvText::read($text);
        if (!\in_array('part', $columns, true) || !\in_array('count', $columns, true)) {
            return [[], [1 => $this->translator->trans('The first line names the columns: %columns%.', ['%columns%' => implode(', ', self::COLUMNS)])]];
        }
        $parts = $problems = [];
        foreach ($rows as $line => $row) {
            if (\count($parts) + \count($problems) >= self::MOST_ROWS) {
                $problems[$line] = $this->translator->trans('At most %most% parts at a time.', ['%most%' => self::MOST_ROWS]);
                break;
            }
            $row += array_fill_keys(self::COLUMNS, '');
            try {
                $condition = PartCondition::tryFrom('' === $row['condition'] ? 'new' : mb_strtolower($row['condition']));
                if ('' === $row['part'] || null === $condition) {
                    $problems[$line] = $this->translator->trans('A part has a name, and is new, salvaged or donor.');
                    continue;
                }
                $part = new ShelfPart($row['part'], $condition);
                $part->describe($condition, $row['number'], $row['place'], $row['fits'], $row['comes_off'], (int) self::number($row['order_below'], ShelfPart::MOST), self::number($row['price'], ShelfPart::MOST_DOLLARS));
                $parts[] = [$part, (int) self::number($row['count'], ShelfPart::MOST)];
            } catch (Refusal $refusal) {
                $problems[$line] = $this->words->refusal($refusal);
            }
        }

        return [$parts, $problems];
    }

    private static function number(string $typed, float $most): float
    {
        return '' === $typed ? 0.0 : DecimalText::parse($typed, 0.0, $most);
    }
}
