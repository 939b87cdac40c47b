<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc\Input;

use AwakeShed\App\Form\ChipChoices;
use AwakeShed\App\Form\PointType;
use AwakeShed\App\Unit\Quantities;
use AwakeShed\Core\Sight\Point;

/** A place on a photo: [412, 860] in JSON, a tap on the picture on a page, or "412, 860" typed. */
final readonly class PointInput implements Input
{
    public function __construct(private bool $isOptional = false)
    {
    }

    public function schema(string $about): array
    {
        return ['description' => $about.' (px)', 'type' => 'array', 'minItems' => 2, 'maxItems' => 2, 'items' => ['type' => 'number', 'minimum' => 0, 'maximum' => Point::MOST]];
    }

    public function read(mixed $json): ?Point
    {
        if (null === $json && $this->isOptional) {
            return null;
        }
        [$x, $y] = \is_array($json) && array_is_list($json) && 2 === \count($json) ? $json : [null, null];
        if ((!\is_int($x) && !\is_float($x)) || (!\is_int($y) && !\is_float($y)) || min($x, $y) < 0 || max($x, $y) > Point::MOST) {
            throw new UnreadableInput(null === $json ? 'missing.' : 'two numbers, from the left and from the top, are wanted.');
        }

        return Point::at((float) $x, (float) $y);
    }

    /** @return list<float>|null */
    public function write(mixed $value): ?array
    {
        return $value instanceof Point ? [$value->x, $value->y] : null;
    }

    public function isRequired(): bool
    {
        return !$this->isOptional;
    }

    public function default(): null
    {
        return null;
    }

    public function field(Quantities $quantities, ChipChoices $choices): array
    {
        return [PointType::class, ['required' => $this->isRequired()]];
    }
}
