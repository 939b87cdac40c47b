<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Calc;

use AwakeShed\App\Calc\Calculations;
use AwakeShed\App\Calc\CalcWords;
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
                [$told, $given] = AnyInputs::of($calculation, $random);
                try {
                    $answer = $calculation->run($given);
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
                if ('object' === ($schema['type'] ?? null)) {
                    $bad = [...$bad, ['no_such_fault' => 0.5], ['fuel.stale' => 'likely'], ['fuel.stale' => 1.01], ['fuel.stale' => -0.01]];
                }
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
