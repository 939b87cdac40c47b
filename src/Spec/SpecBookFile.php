<?php

declare(strict_types=1);

namespace AwakeShed\App\Spec;

use AwakeShed\App\Presentation\CsvText;
use AwakeShed\App\Words\Words;
use AwakeShed\Core\Evidence\MachineKind;
use AwakeShed\Core\Refusal;
use AwakeShed\Core\Spec\SourceClass;
use AwakeShed\Core\Spec\SpecFigure;
use AwakeShed\Core\Spec\SpecValue;
use AwakeShed\Core\Units\DecimalText;
use Symfony\Contracts\Translation\TranslatorInterface;

/**
 * The spec book as text. CSV: a row a figure, columns page, kind, figure, amount, source, note. JSON: the same, by page
 * (data/spec-book.schema.json). Amounts are in the unit of the figure's name.
 */
final readonly class SpecBookFile
{
    public const SCHEMA = __DIR__.'/data/spec-book.schema.json';

    private const COLUMNS = ['page', 'kind', 'figure', 'amount', 'source', 'note'];
    private const MOST_ROWS = 20_000;

    public function __construct(private Words $words, private TranslatorInterface $translator)
    {
    }

    /**
     * @return array<string, array{kind: ?MachineKind, values: array<string, SpecValue>}> by page
     *
     * @throws UnreadableSpecs with every row at fault
     */
    public function parse(string $text): array
    {
        $text = mb_scrub(ltrim($text, "\xEF\xBB\xBF \t\r\n"));
        $rows = str_starts_with($text, '{') ? $this->rowsOfJson($text) : $this->rowsOfCsv($text);
        $pages = [];
        $problems = [];
        foreach ($rows as $place => $row) {
            try {
                [$page, $kind, $value] = $this->read($row);
                $pages[$page]['kind'] = $kind ?? $pages[$page]['kind'] ?? null;
                $pages[$page]['values'][$value->figure->value] = $value;
            } catch (Refusal $refusal) {
                $problems[] = new SpecProblem((string) $place, $this->words->refusal($refusal));
            } catch (\UnexpectedValueException $wrong) {
                $problems[] = new SpecProblem((string) $place, $wrong->getMessage());
            }
        }
        if ([] !== $problems) {
            throw new UnreadableSpecs($problems);
        }

        return $pages;
    }

    /** @param list<SpecPage> $pages */
    public function csv(array $pages): string
    {
        $rows = [];
        foreach ($pages as $page) {
            foreach ($page->values() as $value) {
                $rows[] = [$page->getName(), $page->getKind()->value ?? '', $value->figure->value, $value->amount, $value->source->value, $value->note];
            }
        }

        return CsvText::fromRows(self::COLUMNS, $rows);
    }

    /** @param list<SpecPage> $pages */
    public function json(array $pages): string
    {
        return json_encode([
            'format' => 'awake-shed/spec-book',
            'version' => 1,
            'pages' => array_map(static fn (SpecPage $page): array => array_filter([
                'page' => $page->getName(),
                'kind' => $page->getKind()?->value,
                'figures' => array_map(static fn (SpecValue $value): array => ['figure' => $value->figure->value, 'amount' => $value->amount, 'source' => $value->source->value, 'note' => $value->note], array_values($page->values())),
            ], static fn (mixed $part): bool => null !== $part), $pages),
        ], \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES)."\n";
    }

    /**
     * @return array<int|string, array<string, string>> by line
     *
     * @throws UnreadableSpecs
     */
    private function rowsOfCsv(string $text): array
    {
        [$columns, $read] = CsvText::read($text);
        if ([] !== array_diff(['page', 'figure', 'amount'], $columns)) {
            throw new UnreadableSpecs([new SpecProblem('1', $this->translator->trans('The first line names the columns: %columns%.', ['%columns%' => implode(', ', self::COLUMNS)]))]);
        }
        $rows = [];
        foreach ($read as $line => $row) {
            if (\count($rows) >= self::MOST_ROWS) {
                throw new UnreadableSpecs([new SpecProblem((string) $line, $this->translator->trans('A spec book has at most %most% rows.', ['%most%' => self::MOST_ROWS]))]);
            }
            $rows[$line] = $row;
        }

        return $rows;
    }

    /**
     * @return array<int|string, array<string, string>> by pointer
     *
     * @throws UnreadableSpecs
     */
    private function rowsOfJson(string $text): array
    {
        $wrong = fn (string $place, string $what): UnreadableSpecs => new UnreadableSpecs([new SpecProblem($place, $this->translator->trans($what))]);
        try {
            $book = json_decode($text, true, 16, \JSON_THROW_ON_ERROR);
        } catch (\JsonException) {
            throw $wrong('', 'This is not JSON.');
        }
        if (!\is_array($book) || 'awake-shed/spec-book' !== ($book['format'] ?? null) || 1 !== ($book['version'] ?? null) || !\is_array($book['pages'] ?? null)) {
            throw $wrong('', 'This is no spec book of version 1.');
        }
        $rows = [];
        foreach (array_values($book['pages']) as $number => $page) {
            if (!\is_array($page) || !\is_array($page['figures'] ?? null)) {
                throw $wrong('/pages/'.$number, 'A page has a name and figures.');
            }
            foreach (array_values($page['figures']) as $index => $figure) {
                $cells = (\is_array($figure) ? $figure : []) + ['page' => $page['page'] ?? '', 'kind' => $page['kind'] ?? ''];
                $row = [];
                foreach (self::COLUMNS as $column) {
                    $cell = $cells[$column] ?? '';
                    $row[$column] = \is_scalar($cell) ? trim((string) $cell) : '';
                }
                $rows[\sprintf('/pages/%d/figures/%d', $number, $index)] = $row;
            }
        }

        return \count($rows) > self::MOST_ROWS ? throw $wrong('', 'That is too large for a spec book.') : $rows;
    }

    /**
     * @param array<string, string> $row
     *
     * @return array{string, MachineKind|null, SpecValue}
     *
     * @throws Refusal                   when the amount cannot be
     * @throws \UnexpectedValueException when a word is not known
     */
    private function read(array $row): array
    {
        $page = $row['page'] ?? '';
        if ('' === $page || mb_strlen($page) > SpecPage::LONGEST_NAME) {
            throw new \UnexpectedValueException($this->translator->trans('A page has a name of up to %most% characters.', ['%most%' => SpecPage::LONGEST_NAME]));
        }
        $kind = '' === ($row['kind'] ?? '') ? null : MachineKind::tryFrom($row['kind']) ?? throw $this->unknown($row['kind'], MachineKind::cases());
        $figure = SpecFigure::tryFrom($row['figure'] ?? '') ?? throw $this->unknown($row['figure'] ?? '', SpecFigure::cases());
        $source = '' === ($row['source'] ?? '') ? SourceClass::FromMemory : SourceClass::tryFrom($row['source']) ?? throw $this->unknown($row['source'], SourceClass::cases());

        $possible = $figure->possible();

        return [$page, $kind, new SpecValue($figure, DecimalText::parse($row['amount'] ?? '', $possible->least, $possible->most), $source, mb_substr($row['note'] ?? '', 0, SpecPage::LONGEST_NOTE))];
    }

    /** @param list<\BackedEnum> $known */
    private function unknown(string $word, array $known): \UnexpectedValueException
    {
        return new \UnexpectedValueException($this->words->notKnown($word, $known));
    }
}
