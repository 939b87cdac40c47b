<?php

declare(strict_types=1);

namespace AwakeShed\App\Drawing;

/** Rows with long names, one under the other, each with its bar below. */
final readonly class RowsDrawing implements Drawing
{
    public const WIDTH = 440.0;
    private const PITCH = 48.0;

    /** @param non-empty-list<Row> $rows */
    public function __construct(/** What it shows, an id of translations/calc. */ public string $title, public array $rows)
    {
    }

    public function template(): string
    {
        return 'rows';
    }

    public function height(): float
    {
        return self::PITCH * \count($this->rows) + 8;
    }

    public function top(int $index): float
    {
        return self::PITCH * $index;
    }

    public function length(Row $row): float
    {
        return round(self::WIDTH * min(1.0, max(0.0, $row->share)), 1);
    }
}
