<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\MachineState;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Gate\Blocker;
use AwakeShed\Core\Gate\BlockerKind;

/**
 * The tests that are worth making next: what each is expected to tell, a minute, among those that no gate closes and that
 * make sense as the machine stands ({@see Sense}).
 *
 * A look that opens others is worth at least as much a minute as the best of what it opens, over the time of that and of
 * all the looks it takes. What lies behind one cover shares the way in: the worth of a test there is that of the best set of
 * tests it may be made with, over the way in once and the time of them all.
 */
final readonly class Suggestions
{
    /** Less is not worth anybody's minute. */
    private const LEAST_BITS = 0.002;

    /** What is as likely as this is asked after first; what the findings have raised to so many times its prior by how likely it is; the rest can wait. */
    private const SUSPECT = 0.25;
    private const RAISED = 2.0;
    private const BACKGROUND = 0.1;

    private const TELLS = 3;

    /** What has held a load and gone on, and was not worked on since, needs no search for what nothing points at. */
    private const PROVED = ['run.load' => ['holds'], 'run.minutes_later' => ['keeps_running']];

    private Sense $sense;

    public function __construct(private FaultModel $model, private Vocabulary $vocabulary, private Access $access)
    {
        $this->sense = Sense::shipped($vocabulary);
    }

    /**
     * @param array<string, list<Blocker>> $blocked
     * @param list<string>|null            $about   faults that alone are asked after; what the findings raised where not given
     *
     * @return list<NextTest> the most worth a minute first
     */
    public function rank(CaseFile $case, Beliefs $beliefs, array $blocked, ?array $about = null): array
    {
        $access = $this->access->from($case);
        $informing = $this->informing($case, $beliefs, $access, null === $about ? $this->concern($case, $beliefs) : array_fill_keys($about, 1.0) + array_fill_keys(array_keys($beliefs->now), 0.0));
        $bits = array_map(static fn (InformationGain $information): float => $information->bits(), $informing);
        $rates = self::sharing($access, $bits, $blocked);
        foreach (array_diff_key($bits, $rates) as $test => $own) {
            $rates[$test] = $own / $access->minutes($test);
        }
        $opens = [];
        foreach (array_intersect_key($blocked, $bits) as $test => $blockers) {
            $looks = self::onlyLooks($blockers);
            if (null === $looks) {
                continue;
            }
            $rate = $bits[$test] / self::together([$test, ...$looks], $access);
            // Behind one cover it is worth what the best set there is worth.
            $rate = isset($rates[$test]) && self::shareOneWay($test, $looks, $access) ? $rates[$test] : $rate;
            foreach ($looks as $look) {
                if ($rate > ($rates[$look] ?? 0.0)) {
                    $rates[$look] = $rate;
                    $opens[$look] = $test;
                }
            }
        }
        $next = [];
        foreach (array_diff_key($rates, $blocked) as $test => $rate) {
            $minutes = $access->minutes($test);
            if ($rate * $minutes >= self::LEAST_BITS && (isset($informing[$test]) || $this->sense->has($test, $case, $access))) {
                $tells = isset($informing[$test]) ? array_keys($informing[$test]->byFault) : [];
                $next[] = new NextTest($test, $this->vocabulary->test($test)->minutes, $minutes, $rate * $minutes, \array_slice($tells, 0, self::TELLS), $opens[$test] ?? null, $access->parts($test));
            }
        }
        usort($next, static fn (NextTest $one, NextTest $other): int => [$rates[$other->test], $one->test] <=> [$rates[$one->test], $other->test]);

        return $next;
    }

    /**
     * @param array<string, list<Blocker>> $blocked
     *
     * @return list<string> the tests to be made that nothing closes, in the order of the work
     */
    public function open(CaseFile $case, array $blocked): array
    {
        $access = $this->access->from($case);

        return array_values(array_filter(
            array_keys(array_diff_key($this->model->tests, $blocked)),
            fn (string $test): bool => $this->isToBeMade($test, $case, $access),
        ));
    }

    /**
     * What each test behind a closed place is worth a minute, the way in being counted once for the best set of them.
     *
     * @param array<string, float>         $bits    by test
     * @param array<string, list<Blocker>> $blocked
     *
     * @return array<string, float> bits a minute, by test
     */
    private static function sharing(AccessFrom $access, array $bits, array $blocked): array
    {
        $rates = [];
        foreach ($access->shut as $place) {
            $behind = array_filter(
                array_intersect_key($bits, array_flip($place->behind)),
                static fn (string $test): bool => [] === array_diff(self::onlyLooks($blocked[$test] ?? []) ?? ['another'], $place->behind),
                \ARRAY_FILTER_USE_KEY,
            );
            $own = [];
            foreach (array_keys($behind) as $test) {
                $own[$test] = $access->own($test);
            }
            uksort($behind, static fn (string $one, string $other): int => $behind[$other] / $own[$other] <=> $behind[$one] / $own[$one]);
            [$told, $minutes] = [0.0, $access->wayIn($place)];
            $set = [];
            foreach ($behind as $test => $tells) {
                // As long as it raises what a minute is worth it is of the set.
                if ($tells / $own[$test] > $told / $minutes) {
                    $told += $tells;
                    $minutes += $own[$test];
                    $set[] = $test;
                }
            }
            $rates += array_fill_keys($set, $told / $minutes);
        }

        return $rates;
    }

    /**
     * @param non-empty-list<string> $tests
     *
     * @return float min, what has to be opened for several of them counted once
     */
    private static function together(array $tests, AccessFrom $access): float
    {
        $minutes = 0.0;
        $ways = [];
        foreach ($tests as $test) {
            $minutes += $access->own($test);
            $shut = $access->shutBefore($test);
            if (null !== $shut && !isset($ways[$shut->id])) {
                $ways[$shut->id] = true;
                $minutes += $access->wayIn($shut);
            }
        }

        return $minutes;
    }

    /** @param list<string> $looks */
    private static function shareOneWay(string $test, array $looks, AccessFrom $access): bool
    {
        $place = $access->shutBefore($test);

        return null !== $place && [] === array_diff($looks, $place->behind);
    }

    /** @return array<string, float> by fault, how much it matters to know of it, 0 to 1 */
    private function concern(CaseFile $case, Beliefs $beliefs): array
    {
        $background = $this->isProved($case) ? 0.0 : self::BACKGROUND;
        $concern = array_fill_keys($beliefs->seen, 0.0);
        foreach ($beliefs->now as $fault => $belief) {
            $isRaised = $belief > min(self::SUSPECT, self::RAISED * $beliefs->priors[$fault]);
            $concern[$fault] ??= $isRaised ? max($background, min(1.0, $belief / self::SUSPECT)) : $background;
        }

        return $concern;
    }

    /**
     * @param array<string, float> $concern by fault
     *
     * @return array<string, InformationGain> by test to be made, closed ones too
     */
    private function informing(CaseFile $case, Beliefs $beliefs, AccessFrom $access, array $concern): array
    {
        $informing = [];
        foreach ($this->model->tests as $test => $shows) {
            if ($this->isToBeMade($test, $case, $access)) {
                $informing[$test] = new InformationGain($shows, $beliefs->now, $concern);
            }
        }

        return $informing;
    }

    private function isProved(CaseFile $case): bool
    {
        $since = max([MachineState::NEVER, ...array_map($case->curedAt(...), $case->cured())]);
        foreach (self::PROVED as $test => $good) {
            if (true !== $case->standing($test)?->saysAnyOf($good) || $case->foundAt($test) < $since) {
                return false;
            }
        }

        return true;
    }

    /** Whether it makes sense now, and nobody has made it yet or something it speaks of was put right since. */
    private function isToBeMade(string $test, CaseFile $case, AccessFrom $access): bool
    {
        return !str_starts_with($test, 'claim.')
            && $this->vocabulary->applies($test, $case->machine)
            && (null === $case->standing($test) || $case->putRightSince($test, ...array_keys($this->model->tests[$test]->causes)))
            && $this->sense->has($test, $case, $access);
    }

    /**
     * @param list<Blocker> $blockers
     *
     * @return list<string>|null the looks that would open it; null where a hold stands in the way, or something has to be done first
     */
    private static function onlyLooks(array $blockers): ?array
    {
        $looks = [];
        foreach ($blockers as $blocker) {
            if (\in_array($blocker->kind, [BlockerKind::Hold, BlockerKind::Act], true)) {
                return null;
            }
            $looks[] = $blocker->until;
        }

        return $looks;
    }
}
