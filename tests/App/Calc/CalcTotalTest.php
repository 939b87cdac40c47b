<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Calc;

use AwakeShed\App\Calc\Calculations;
use AwakeShed\App\Calc\CalcWords;
use AwakeShed\App\Calc\Given;
use AwakeShed\App\Calc\Input\UnreadableInput;
use AwakeShed\Core\Refusal;
use AwakeShed\Tests\Seeded;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;

/** Whatever it is told, a calculation answers with numbers or refuses by name. */
final class CalcTotalTest extends KernelTestCase
{
    private const CASES = 150;

    public function testAnswersEverythingItsSchemaAllowsWithFiniteNumbersOrARefusal(): void
    {
        $random = new Seeded(2027);
        $answered = $refused = 0;
        foreach (self::service(Calculations::class)->all() as $calculation) {
            for ($case = 0; $case < self::CASES; ++$case) {
                $values = [];
                $told = [];
                foreach ($calculation->inputs() as $name => $input) {
                    $told[$name] = self::draw($input->schema(''), $input->isRequired(), $random);
                    if ('speed-trace' === $calculation->name() && \is_string($told[$name])) {
                        $told[$name] = str_replace('[psi]', '[rpm]', $told[$name]);
                    }
                    $values[$name] = $input->read($told[$name]);
                }
                try {
                    $answer = $calculation->run(new Given($values));
                } catch (Refusal $refusal) {
                    self::assertNotSame('', $refusal->reason());
                    ++$refused;
                    continue;
                }
                ++$answered;
                $said = json_encode([$calculation->name(), $told], \JSON_PARTIAL_OUTPUT_ON_ERROR);
                self::assertStringNotContainsString('verdict.', self::service(CalcWords::class)->verdict($calculation, $answer), (string) $said);
                foreach ($answer->plain() as $key => $value) {
                    foreach (\is_array($value) ? $value : [$value] as $one) {
                        self::assertTrue(!\is_float($one) || is_finite($one), "$key of $said");
                    }
                }
            }
        }
        self::assertGreaterThan(4 * $refused, $answered, 'four of five of what may be said have an answer');
    }

    public function testRefusesWhatItsSchemaDoesNotAllow(): void
    {
        foreach (self::service(Calculations::class)->all() as $calculation) {
            foreach ($calculation->inputs() as $name => $input) {
                $schema = $input->schema('');
                $bad = [new \stdClass(), [[]]];
                if ('number' === ($schema['type'] ?? null) && is_numeric($schema['minimum'] ?? null) && is_numeric($schema['maximum'] ?? null)) {
                    [$least, $most] = [(float) $schema['minimum'], (float) $schema['maximum']];
                    $bad = [...$bad, 'three', true, \NAN, \INF, -\INF, 1e300, $least - 0.001 * (1 + abs($least)), $most + 0.001 * (1 + abs($most))];
                }
                foreach ($bad as $number => $value) {
                    try {
                        $input->read($value);
                        self::fail($calculation->name()."/$name took bad value $number");
                    } catch (UnreadableInput $unreadable) {
                        self::assertNotSame('', $unreadable->getMessage());
                    }
                }
            }
        }
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

    /**
     * @template T of object
     *
     * @param class-string<T> $class
     *
     * @return T
     */
    private static function service(string $class): object
    {
        $service = self::getContainer()->get($class);
        self::assertInstanceOf($class, $service);

        return $service;
    }
}
