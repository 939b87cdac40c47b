<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Published;

use AwakeShed\Core\Schedule\Objective;
use AwakeShed\Core\Schedule\Planner;
use AwakeShed\Core\Schedule\Problem;
use AwakeShed\Tests\Core\Schedule\Problems;
use AwakeShed\Tests\NeedsProgram;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Small plans against a constraint solver (MiniZinc with Gecode): openings, alternatives, baths, bounded waits. */
final class ConstraintSolverTest extends TestCase
{
    use NeedsProgram;

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= 12; ++$seed) {
            yield 'made-up '.$seed => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function testFindsNothingBetter(int $seed): void
    {
        $problem = Problems::madeUp($seed, jobs: 2 + $seed % 2, withPins: false, withBreaks: false, budget: 400);
        $plan = Planner::plan($problem);
        if ([] !== $plan->unplanned) {
            self::assertNotSame([], $plan->unplanned, 'the solver would say that there is no plan');

            return;
        }
        $best = self::solved($problem);

        self::assertSame($best, $plan->value());
        self::assertLessThanOrEqual($best, $plan->lowerBound);
    }

    private static function solved(Problem $problem): int
    {
        $file = tempnam(sys_get_temp_dir(), 'plan').'.mzn';
        file_put_contents($file, self::model($problem));
        self::needs('minizinc', 'minizinc');
        exec('minizinc --solver gecode '.escapeshellarg($file).' 2>/dev/null', $lines, $status);
        unlink($file);
        self::assertSame(0, $status, 'minizinc is missing; bin/test installs it');
        self::assertContains('==========', $lines, 'the solver did not finish');

        // One line for each plan it found, the best last.
        return (int) array_reverse(array_values(array_filter($lines, is_numeric(...))))[0];
    }

    private static function model(Problem $problem): string
    {
        $place = array_flip(array_map(static fn ($one): string => $one->id, $problem->operations));
        $resources = array_column(array_map(static fn ($one): array => [$one->id, $one], $problem->resources), 1, 0);
        $jobs = array_column(array_map(static fn ($one): array => [$one->id, $one], $problem->jobs), 1, 0);
        $model = ['include "cumulative.mzn";'];
        $use = $ends = [];
        foreach ($problem->operations as $at => $operation) {
            $ways = $operation->ways();
            $model[] = \sprintf('var 0..400: s%1$d; var 0..%2$d: w%1$d; constraint s%1$d >= %3$d;', $at, \count($ways) - 1, $jobs[$operation->job]->release);
            $end = static fn (string $id): string => \sprintf('s%d + %d', $place[$id], $problem->operations[$place[$id]]->minutes);
            foreach ($operation->after as $first) {
                $model[] = \sprintf('constraint s%d >= %s;', $at, $end($first));
            }
            if (null !== $operation->atMostAfter) {
                $model[] = \sprintf('constraint s%d <= %d + max([%s]);', $at, $operation->atMostAfter, implode(', ', array_map($end, $operation->after)));
            }
            foreach ($ways as $way => $uses) {
                foreach ($uses as [$id, $units]) {
                    $use[$id][$at][$way] = $units;
                    if (null !== $resources[$id]->openings->stretches) {
                        $model[] = \sprintf('constraint w%d != %d \/ exists([%s]);', $at, $way, implode(', ', array_map(static fn (array $one): string => \sprintf('s%1$d >= %2$d /\ s%1$d + %3$d <= %4$d', $at, $one[0], $operation->minutes, $one[1]), $resources[$id]->openings->stretches)));
                    }
                }
            }
            $ends[$operation->job][] = \sprintf('s%d + %d', $at, $operation->minutes);
        }
        foreach ($use as $id => $takers) {
            $model[] = null === $resources[$id]->cycle ? self::cumulative($problem, $takers, $resources[$id]->capacity) : self::cycles($problem, $takers, $resources[$id]->capacity, $resources[$id]->cycle);
        }
        $late = ['0'];
        foreach ($problem->jobs as $job) {
            if (null !== $job->due) {
                $late[] = \sprintf('%d * max(0, max([%s]) - (%d))', $job->weight, implode(', ', $ends[$job->id]), $job->due);
            }
        }
        $model[] = \sprintf('var int: value = %s;', Objective::Makespan === $problem->objective ? 'max(['.implode(', ', array_merge(...array_values($ends))).'])' : implode(' + ', $late));

        return implode("\n", $model)."\nsolve minimize value;\noutput [show(value)];\n";
    }

    /** @param array<int, non-empty-array<int, int>> $takers units by operation and way */
    private static function cumulative(Problem $problem, array $takers, int $capacity): string
    {
        $starts = $minutes = $units = [];
        foreach ($takers as $at => $ways) {
            $starts[] = 's'.$at;
            $minutes[] = $problem->operations[$at]->minutes;
            $units[] = implode(' + ', array_map(static fn (int $way, int $one): string => \sprintf('%d * bool2int(w%d = %d)', $one, $at, $way), array_keys($ways), $ways));
        }

        return \sprintf('constraint cumulative([%s], [%s], [%s], %d);', implode(', ', $starts), implode(', ', $minutes), implode(', ', $units), $capacity);
    }

    /** @param array<int, non-empty-array<int, int>> $takers units by operation and way */
    private static function cycles(Problem $problem, array $takers, int $capacity, int $minutes): string
    {
        $model = [];
        foreach (array_keys($takers) as $at) {
            $sum = [];
            foreach ($takers as $other => $ways) {
                $sum[] = \sprintf('%d * bool2int(s%d = s%d)', max($ways), $other, $at);
                if ($other > $at) {
                    $isLike = $problem->operations[$at]->batchKey === $problem->operations[$other]->batchKey;
                    $model[] = \sprintf('constraint s%1$d + %3$d <= s%2$d \/ s%2$d + %3$d <= s%1$d%4$s;', $at, $other, $minutes, $isLike ? \sprintf(' \/ s%d = s%d', $at, $other) : '');
                }
            }
            $model[] = \sprintf('constraint %s <= %d;', implode(' + ', $sum), $capacity);
        }

        return implode("\n", $model);
    }
}
