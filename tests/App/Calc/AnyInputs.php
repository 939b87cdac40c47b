<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Calc;

use AwakeShed\App\Calc\Calculation;
use AwakeShed\App\Calc\Given;
use AwakeShed\Tests\Seeded;

/** Anything that the schema of a calculation allows. */
final readonly class AnyInputs
{
    private function __construct()
    {
    }

    /** @return array{array<string, mixed>, Given} as a command is told it, and as it is read */
    public static function of(Calculation $calculation, Seeded $random): array
    {
        $told = $values = [];
        foreach ($calculation->inputs() as $name => $input) {
            $told[$name] = self::draw($input->schema(''), $input->isRequired(), $random);
            if ('speed-trace' === $calculation->name() && \is_string($told[$name])) {
                $told[$name] = str_replace('[psi]', '[rpm]', $told[$name]);
            }
            $values[$name] = $input->read($told[$name]);
        }

        return [$told, new Given($values)];
    }

    /** @param array<string, mixed> $schema */
    private static function draw(array $schema, bool $isRequired, Seeded $random): mixed
    {
        if (!$isRequired && 1 === $random->int(1, 4)) {
            return null;
        }
        if (isset($schema['enum']) && \is_array($schema['enum'])) {
            return $random->one(array_values($schema['enum']));
        }
        $type = $schema['type'] ?? '';
        if ('array' === $type) {
            \assert(\is_array($schema['items']));
            /** @var array<string, mixed> $items */
            $items = $schema['items'];

            return array_map(static fn (): mixed => self::draw($items, true, $random), range(1, isset($schema['minItems']) ? 2 : $random->int(1, 5)));
        }
        if ('object' === $type) {
            \assert(\is_array($schema['propertyNames']) && \is_array($schema['propertyNames']['enum']));

            return [$random->one(array_values(array_filter($schema['propertyNames']['enum'], is_string(...)))) => $random->float(0, 1)];
        }
        if ('string' === $type) {
            $lines = array_map(static fn (int $n): string => $n * $random->one([0.01, 0.1, 1.0]).','.$random->float(-5, 20), range(0, $random->int(1, 200)));

            return "t [s],p [psi]\n".implode("\n", $lines);
        }
        [$least, $most] = [(float) (is_numeric($schema['minimum'] ?? null) ? $schema['minimum'] : 0), (float) (is_numeric($schema['maximum'] ?? null) ? $schema['maximum'] : 1)];

        // The ends are where things break; in between, small numbers as often as large ones.
        $drawn = match ($random->int(1, 6)) {
            1 => $least,
            2 => $most,
            3 => $least + ($most - $least) * $random->float(0, 0.01),
            default => $random->float($least, $most),
        };

        return 'integer' === $type ? (int) round($drawn) : $drawn;
    }
}
