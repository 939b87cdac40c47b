<?php

declare(strict_types=1);

namespace AwakeShed\App\Calc\Input;

use AwakeShed\App\Form\ChipChoices;
use AwakeShed\App\Unit\Quantities;
use AwakeShed\Core\Evidence\Vocabulary;

/** How likely each fault is: from a job’s record, or given by a program; nobody types it. */
final readonly class ChancesInput implements Input
{
    public function __construct(private Vocabulary $vocabulary)
    {
    }

    public function schema(string $about): array
    {
        return ['description' => $about, 'type' => 'object', 'propertyNames' => ['enum' => array_keys($this->vocabulary->faults)], 'additionalProperties' => ['type' => 'number', 'minimum' => 0, 'maximum' => 1], 'default' => (object) []];
    }

    /** @return array<string, float> */
    public function read(mixed $json): array
    {
        $chances = [];
        foreach (\is_array($json) ? $json : (null === $json ? [] : throw new UnreadableInput('an object of faults and chances is wanted.')) as $fault => $chance) {
            if (!isset($this->vocabulary->faults[$fault]) || (!\is_int($chance) && !\is_float($chance)) || $chance < 0 || $chance > 1) {
                throw new UnreadableInput(\sprintf('%s is no fault, or its chance is not 0 to 1.', $fault));
            }
            $chances[(string) $fault] = (float) $chance;
        }

        return $chances;
    }

    /** @return array<string, float>|null */
    public function write(mixed $value): ?array
    {
        $chances = [];
        foreach (\is_array($value) ? $value : [] as $fault => $chance) {
            if (\is_string($fault) && \is_float($chance)) {
                $chances[$fault] = round($chance, 6);
            }
        }

        return [] === $chances ? null : $chances;
    }

    public function isRequired(): bool
    {
        return false;
    }

    /** @return array<string, float> */
    public function default(): array
    {
        return [];
    }

    public function field(Quantities $quantities, ChipChoices $choices): null
    {
        return null;
    }
}
