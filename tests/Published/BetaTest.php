<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Published;

use AwakeShed\Core\Repair\Beta;
use AwakeShed\Tests\NeedsProgram;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The Beta distribution against jStat, a statistics library of somebody else's, and against closed forms. */
final class BetaTest extends TestCase
{
    use NeedsProgram;

    private const SHAPES = [[3.2, 4.8], [7.6, 0.4], [0.5, 0.5], [1.0, 1.0], [2.0, 5.0], [12.0, 3.0], [40.4, 60.6], [250.0, 30.0]];

    /** The module is CommonJS; one process for all of them. */
    private const SCRIPT = <<<'JS'
        const { jStat } = require('jstat');
        const out = [];
        for (const [a, b] of JSON.parse(process.argv[1])) {
            for (const p of [0.1, 0.5, 0.9]) out.push([a, b, p, jStat.beta.inv(p, a, b), jStat.beta.cdf(0.37, a, b)]);
        }
        console.log(JSON.stringify(out));
        JS;

    public function testQuantilesAndProbabilitiesAgreeWithAStatisticsLibrary(): void
    {
        self::needs('node', 'nodejs');
        exec(\sprintf('node -e %s %s 2>&1', escapeshellarg(self::SCRIPT), escapeshellarg(json_encode(self::SHAPES, \JSON_THROW_ON_ERROR))), $lines, $status);
        self::assertSame(0, $status, implode("\n", $lines));
        $rows = json_decode($lines[0] ?? '', true, 4, \JSON_THROW_ON_ERROR);
        self::assertIsArray($rows);
        self::assertCount(3 * \count(self::SHAPES), $rows);
        foreach ($rows as $row) {
            self::assertIsArray($row);
            [$a, $b, $p, $quantile, $below] = array_map(static fn (mixed $number): float => is_numeric($number) ? (float) $number : \NAN, $row);
            $beta = Beta::shaped($a, $b);
            // jStat's own quantile search ends at about 1e-7.
            self::assertEqualsWithDelta($quantile, $beta->quantile($p), 2e-6, "Beta($a, $b), $p");
            // Its continued fraction stops at 3e-7 of itself.
            self::assertEqualsWithDelta($below, $beta->cumulative(0.37), 3e-7, "Beta($a, $b)");
        }
    }

    public function testAgreesWithTheIntegralItIs(): void
    {
        // Simpson's rule over the density, the constant by the integral to one: no gamma function, no continued fraction.
        foreach ([[40.4, 60.6], [3.2, 4.8], [12.0, 3.0]] as [$a, $b]) {
            $area = static function (float $to) use ($a, $b): float {
                $sum = 0.0;
                $steps = 20_000;
                for ($step = 1; $step < $steps; ++$step) {
                    $x = $to * $step / $steps;
                    $sum += (1 === $step % 2 ? 4 : 2) * $x ** ($a - 1) * (1 - $x) ** ($b - 1);
                }

                return ($sum + (1.0 === $to ? 0.0 : $to ** ($a - 1) * (1 - $to) ** ($b - 1))) * $to / $steps / 3;
            };
            self::assertEqualsWithDelta($area(0.37) / $area(1.0), Beta::shaped($a, $b)->cumulative(0.37), 1e-9);
        }
    }

    /** @return iterable<string, array{float, float, float, float}> a, b, x, probability: closed forms */
    public static function closed(): iterable
    {
        yield 'uniform' => [1, 1, 0.3, 0.3];
        yield 'x to the power a' => [3, 1, 0.5, 0.125];
        yield '1 - (1 - x) to the power b' => [1, 4, 0.5, 1 - 0.0625];
        yield 'arc sine' => [0.5, 0.5, 0.25, 2 / \M_PI * asin(0.5)];
        yield 'symmetric about a half' => [6, 6, 0.5, 0.5];
    }

    #[DataProvider('closed')]
    public function testClosedForms(float $a, float $b, float $x, float $probability): void
    {
        self::assertEqualsWithDelta($probability, Beta::shaped($a, $b)->cumulative($x), 1e-12);
        self::assertEqualsWithDelta($x, Beta::shaped($a, $b)->quantile($probability), 1e-9);
    }
}
