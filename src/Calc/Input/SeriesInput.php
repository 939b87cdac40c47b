<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc\Input;

use AwakeShed\App\Form\ChipChoices;
use AwakeShed\App\Unit\Quantities;
use AwakeShed\Core\Trace\SeriesFile;
use AwakeShed\Core\Trace\UnreadableSeries;
use AwakeShed\Core\Units\Unit;

/** A recorded series as CSV. On pages it is no field: traces have pages of their own. */
final readonly class SeriesInput implements Input
{
    private const LONGEST = 16_000_000;

    /** @param non-empty-list<Unit> $units its values may be in */
    public function __construct(private array $units)
    {
    }

    public function schema(string $about): array
    {
        return ['description' => $about, 'type' => 'string', 'maxLength' => self::LONGEST];
    }

    public function read(mixed $json): SeriesFile
    {
        if (!\is_string($json) || \strlen($json) > self::LONGEST) {
            throw new UnreadableInput(null === $json ? 'missing.' : 'a text is wanted.');
        }
        try {
            return SeriesFile::parse($json, $this->units);
        } catch (UnreadableSeries $unreadable) {
            throw new UnreadableInput($unreadable->getMessage());
        }
    }

    /** Nobody wants a whole recording back. */
    public function write(mixed $value): null
    {
        return null;
    }

    public function isRequired(): bool
    {
        return true;
    }

    public function default(): null
    {
        return null;
    }

    public function field(Quantities $quantities, ChipChoices $choices): null
    {
        return null;
    }
}
