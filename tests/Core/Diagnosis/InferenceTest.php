<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core\Diagnosis;

use AwakeShed\Core\Diagnosis\Inference;
use AwakeShed\Core\Diagnosis\Network;
use AwakeShed\Core\Diagnosis\Observation;
use AwakeShed\Core\Diagnosis\TestModel;
use AwakeShed\Tests\Seeded;
use PHPUnit\Framework\TestCase;

/** Against the sum over every set of faults there can be. */
final class InferenceTest extends TestCase
{
    public function testIsExactUpToEightAlarmingFindings(): void
    {
        $random = new Seeded(41);
        for ($case = 0; $case < 25; ++$case) {
            [$priors, $observations] = self::network($random, 8, 8);
            $exact = self::bySumming($priors, $observations);
            foreach (Inference::posterior(new Network($priors), $observations)->beliefs as $fault => $probability) {
                self::assertEqualsWithDelta($exact[$fault], $probability, 1e-9, "case $case, $fault");
            }
        }
    }

    public function testBeyondThatItIsCloseAndTheErrorIsMeasured(): void
    {
        $random = new Seeded(42);
        $worst = $sum = 0.0;
        $count = 0;
        for ($case = 0; $case < 12; ++$case) {
            [$priors, $observations] = self::network($random, 9, 16);
            $exact = self::bySumming($priors, $observations);
            foreach (Inference::posterior(new Network($priors), $observations)->beliefs as $fault => $probability) {
                $worst = max($worst, abs($exact[$fault] - $probability));
                $sum += abs($exact[$fault] - $probability);
                ++$count;
            }
        }
        // Measured on these networks, which are denser than the trade's: 0.0004 on the average, 0.0094 at the worst.
        self::assertLessThan(0.0004, $sum / $count);
        self::assertLessThan(0.01, $worst);
    }

    public function testFindingsThatShareNoFaultAreExactHoweverMany(): void
    {
        // Twelve alarming findings on six pairs of faults that have nothing to do with one another, against the sum over
        // all sets of faults.
        $random = new Seeded(47);
        $priors = $observations = [];
        for ($pair = 0; $pair < 6; ++$pair) {
            $priors['f'.(2 * $pair)] = $random->float(0.05, 0.4);
            $priors['f'.(2 * $pair + 1)] = $random->float(0.05, 0.4);
            foreach ([0.8, 0.5] as $number => $share) {
                $model = TestModel::fromOdds(['fine' => 0.95, 'bad' => 0.05], ['f'.(2 * $pair) => ['bad' => $share], 'f'.(2 * $pair + 1) => ['bad' => 0.9 - $share / 2]]);
                $observations[] = new Observation("t$pair.$number", $model, [1], []);
            }
        }
        $exact = self::bySumming($priors, $observations);
        foreach (Inference::posterior(new Network($priors), $observations)->beliefs as $fault => $probability) {
            self::assertEqualsWithDelta($exact[$fault], $probability, 1e-9, $fault);
        }
    }

    public function testSightsSharedCausesAndSidesAreExactToo(): void
    {
        $random = new Seeded(53);
        for ($case = 0; $case < 25; ++$case) {
            [$priors, $observations] = self::network($random, 8, 6);
            // f0 is a cause that nobody sees and three others share; f4 brings f5, which it shares with nobody or with f0.
            $brings = ['f0' => ['f1' => $random->float(0.1, 0.9), 'f2' => $random->float(0.1, 0.9), 'f4' => $random->float(0.1, 0.9)], 'f4' => ['f5' => $random->float(0.1, 0.9)]];
            $seen = array_fill_keys(\array_slice(['f2', 'f5', 'f6'], $random->int(0, 2), $random->int(0, 2)), true);
            $sides = ['f1' => 'fuel', 'f2' => 'fuel', 'f3' => 'spark', 'f5' => 'spark', 'f6' => 'air', 'f7' => 'air', 'f4' => 'fuel'];
            [$exact, $exactSides] = self::summed($priors, $observations, $brings, $seen, $sides);
            $posterior = Inference::posterior(new Network($priors, $brings, $seen, $sides), $observations);
            foreach (array_keys($priors) as $fault) {
                self::assertEqualsWithDelta(isset($seen[$fault]) ? Inference::SEEN : $exact[$fault], $posterior->beliefs[$fault], 1e-9, "case $case, $fault");
            }
            foreach ($exactSides as $side => $probability) {
                $isSeen = [] !== array_intersect_key($seen, array_filter($sides, static fn (string $one): bool => $one === $side));
                self::assertEqualsWithDelta($isSeen ? Inference::SEEN : $probability, $posterior->sides[$side], 1e-9, "case $case, $side");
            }
        }
    }

    public function testTheOrderOfFindingsMeansNothing(): void
    {
        $random = new Seeded(43);
        [$priors, $observations] = self::network($random, 8, 9);
        $one = Inference::posterior(new Network($priors), $observations)->beliefs;
        $other = Inference::posterior(new Network($priors), array_reverse($observations))->beliefs;
        foreach ($one as $fault => $probability) {
            self::assertEqualsWithDelta($probability, $other[$fault], 1e-12);
        }
    }

    public function testAFaultThatBringsAnotherIsSummedOverToo(): void
    {
        // By hand: a in 1 of 5 brings b, by itself in 1 of 10, with chance a half; seen bad, which b shows in 4 of 5 and a
        // sound machine in 1 of 20. With a: b is 0.55, seen 0.55·0.81 + 0.45·0.05 = 0.468; without: 0.1·0.81 + 0.9·0.05
        // = 0.126. a: 0.2·0.468/(0.2·0.468 + 0.8·0.126) = 0.48148; b: (0.2·0.4455 + 0.8·0.081)/0.1944 = 0.79167.
        $model = TestModel::fromOdds(['fine' => 0.95, 'bad' => 0.05], ['b' => ['bad' => 0.8]]);
        $beliefs = Inference::posterior(new Network(['a' => 0.2, 'b' => 0.1], ['a' => ['b' => 0.5]]), [new Observation('t', $model, [1], [])])->beliefs;
        self::assertEqualsWithDelta(0.48148, $beliefs['a'], 1e-5);
        self::assertEqualsWithDelta(0.79167, $beliefs['b'], 1e-5);
    }

    public function testNothingSeenLeavesThePriors(): void
    {
        self::assertEqualsWithDelta(['a' => 0.1, 'b' => 0.4], Inference::posterior(new Network(['a' => 0.1, 'b' => 0.4]), [])->beliefs, 1e-12);
    }

    public function testBayesRuleByHand(): void
    {
        // One in ten has it; it shows in 4 of 5, and a sound machine looks so in 1 of 20. The fault shows or the machine
        // does by itself: 0.8 + 0.2·0.05 = 0.81; 0.1·0.81/(0.1·0.81 + 0.9·0.05) = 0.642857.
        $model = TestModel::fromOdds(['fine' => 0.95, 'bad' => 0.05], ['a' => ['bad' => 0.8]]);
        self::assertEqualsWithDelta(0.642857, Inference::posterior(new Network(['a' => 0.1]), [new Observation('t', $model, [1], [])])->beliefs['a'], 1e-6);
        // Fine in 0.2·0.95 with it: 0.1·0.19/(0.1·0.19 + 0.9·0.95) = 0.021739.
        self::assertEqualsWithDelta(0.021739, Inference::posterior(new Network(['a' => 0.1]), [new Observation('t', $model, [0], [])])->beliefs['a'], 1e-6);
        // Cured since, it explains what was seen and is believed no more than before.
        self::assertEqualsWithDelta(0.1, Inference::posterior(new Network(['a' => 0.1]), [new Observation('t', $model, [1], ['a'])])->beliefs['a'], 1e-12);
    }

    /** @return array{array<string, float>, list<Observation>} */
    private static function network(Seeded $random, int $faults, int $tests): array
    {
        $priors = [];
        for ($fault = 0; $fault < $faults; ++$fault) {
            $priors['f'.$fault] = $random->float(0.02, 0.4);
        }
        $observations = [];
        for ($test = 0; $test < $tests; ++$test) {
            $shows = [];
            foreach (array_keys($priors) as $fault) {
                if (1 === $random->int(1, 3)) {
                    $some = $random->float(0.1, 0.6);
                    $shows[$fault] = ['odd' => $some, 'bad' => $random->float(0.0, 0.95 - $some)];
                }
            }
            $bad = $random->float(0.01, 0.1);
            $odd = $random->float(0.01, 0.2);
            $model = TestModel::fromOdds(['fine' => 1 - $bad - $odd, 'odd' => $odd, 'bad' => $bad], $shows);
            $observations[] = new Observation('t'.$test, $model, [$random->int(0, 2)], []);
        }

        return [$priors, $observations];
    }

    /**
     * @param array<string, float> $priors
     * @param list<Observation>    $observations
     *
     * @return array<string, float>
     */
    private static function bySumming(array $priors, array $observations): array
    {
        return self::summed($priors, $observations, [], [], [])[0];
    }

    /**
     * @param array<string, float>                $priors
     * @param list<Observation>                   $observations
     * @param array<string, array<string, float>> $brings
     * @param array<string, true>                 $seen
     * @param array<string, string>               $sides
     *
     * @return array{array<string, float>, array<string, float>} by fault; by side, that at least one of its faults is there
     */
    private static function summed(array $priors, array $observations, array $brings, array $seen, array $sides): array
    {
        $names = array_keys($priors);
        $total = 0.0;
        $with = array_fill_keys($names, 0.0);
        $onSide = array_fill_keys(array_unique($sides), 0.0);
        for ($set = 0; $set < 2 ** \count($names); ++$set) {
            $there = array_values(array_filter($names, static fn (int|string $name): bool => 0 !== ($set >> (int) substr((string) $name, 1) & 1)));
            if ([] !== array_diff(array_keys($seen), $there)) {
                continue;
            }
            $probability = 1.0;
            foreach ($priors as $fault => $prior) {
                $absent = 1 - $prior;
                foreach ($there as $bringer) {
                    $absent *= 1 - ($brings[$bringer][$fault] ?? 0.0);
                }
                $probability *= \in_array($fault, $there, true) ? 1 - $absent : $absent;
            }
            foreach ($observations as $observation) {
                $probability *= self::likelihood($observation->model, $observation->places[0], $there);
            }
            $total += $probability;
            foreach ($there as $fault) {
                $with[$fault] += $probability;
            }
            foreach (array_unique(array_intersect_key($sides, array_flip($there))) as $side) {
                $onSide[$side] += $probability;
            }
        }
        $share = static fn (float $sum): float => $sum / $total;

        return [array_map($share, $with), array_map($share, $onSide)];
    }

    /** @param list<string> $there */
    private static function likelihood(TestModel $model, int $place, array $there): float
    {
        $upTo = static function (int $place) use ($model, $there): float {
            $chance = $model->soundUpTo($place);
            foreach ($there as $fault) {
                $chance *= $model->upTo($fault, $place);
            }

            return $chance;
        };

        return $upTo($place) - $upTo($place - 1);
    }
}
