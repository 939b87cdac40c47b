<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Table;

/**
 * How often faults are met and what each shows ({@see Odds}).
 *
 * Some faults share a cause that is no fault itself and that nobody looks for: the varnish of old fuel, water that got in.
 * Such a hidden cause stands among the faults with a name of its own, brings them, and is never reported.
 *
 * @phpstan-type Factors array{prior: float|int, idle_months?: list<array{float|int, float|int}>, layup?: array<string, float|int>, fuel_kind?: array<string, float|int>, kinds?: array<string, float|int>, cycle?: string, only_kinds?: list<string>, only_feed?: string, chokes?: list<string>, without_electric_start?: bool, brings?: array<string, float|int>, shows?: array<string, array<string, float|int>>}
 * @phpstan-type ClaimRule array{base: float|int, against?: array<string, array<string, float|int>>, above?: array<string, array{float|int, float|int}>, below?: array<string, array{float|int, float|int}>}
 * @phpstan-type Senses array{sights: array<string, array<string, string>>, counts_after: array<string, array<string, array{after: array<string, list<string>>, else: string}>>, sides: array<string, list<string>>, beside: list<string>, twins: array<string, string>}
 */
final class FaultModel
{
    /** Of a cure, that it did not take. */
    public const CURE_FAILS = 0.05;

    private const HIDDEN = 'cause.';

    /** What its owner says of a machine that makes faults likelier. */
    private const STORY = ['claim.fuel_kind', 'claim.layup'];

    /** @var array<string, string> by fault, the side of the engine it keeps from its work */
    public readonly array $sides;

    /** @var array{string, Network}|null the last that was asked for, by all it depends on: a job is asked after many times */
    private ?array $known = null;

    /**
     * @param array<string, TestModel>                $tests
     * @param array<string, Factors>                  $faults
     * @param array<string, array<string, ClaimRule>> $claims
     * @param Senses                                  $senses
     */
    private function __construct(public readonly array $tests, private readonly array $faults, public readonly array $claims, private readonly array $senses)
    {
        $sides = [];
        foreach ($senses['sides'] as $side => $ofSide) {
            $sides += array_fill_keys($ofSide, $side);
        }
        $this->sides = $sides;
    }

    public static function shipped(): self
    {
        $odds = Odds::shipped();

        return self::of($odds, Table::derived('tests-of-faults', static fn (): array => self::tests($odds)));
    }

    public static function fromOdds(Odds $odds): self
    {
        return self::of($odds, self::tests($odds));
    }

    /** @param array<string, array{list<string>, list<float>, array<string, list<float>>}> $tests */
    private static function of(Odds $odds, array $tests): self
    {
        return new self(array_map(static fn (array $test): TestModel => new TestModel(...$test), $tests), $odds->numbers['faults'], $odds->numbers['claims'], $odds->senses);
    }

    /** @return array<string, array{list<string>, list<float>, array<string, list<float>>}> what a {@see TestModel} is made of, by test */
    private static function tests(Odds $odds): array
    {
        $shows = [];
        foreach ($odds->numbers['faults'] as $fault => $known) {
            foreach ($known['shows'] ?? [] as $test => $shares) {
                $shows[$test][$fault] = $shares;
            }
        }
        $tests = [];
        foreach ($odds->numbers['sound'] as $test => $sound) {
            $tests[$test] = TestModel::cumulated($sound, $shows[$test] ?? []);
        }

        return $tests;
    }

    /** @return list<string> those with a name in the trade */
    public function faults(): array
    {
        return array_values(array_filter(array_keys($this->faults), static fn (string $fault): bool => !self::isHidden($fault)));
    }

    public static function isHidden(string $fault): bool
    {
        return str_starts_with($fault, self::HIDDEN);
    }

    /** @return array<string, mixed> the tests in which a fault shows, as keys */
    public function shownBy(string $fault): array
    {
        return $this->faults[$fault]['shows'] ?? [];
    }

    /** @return string|null the fault that one looks at where a test shows this; null where several may show it */
    public function seenIn(string $test, string $outcome): ?string
    {
        return $this->senses['sights'][$test][$outcome] ?? null;
    }

    /** Whether a fault is to be mended too, but does not keep the engine from its work. */
    public function isBeside(string $fault): bool
    {
        return \in_array($fault, $this->senses['beside'], true);
    }

    /** @return array<string, string> of an engine of two cylinders, the test of the other by the test of the one */
    public function twins(): array
    {
        return $this->senses['twins'];
    }

    /** What an outcome says of faults in this case: some mean what they mean only after something else was done. */
    public function readAs(string $test, string $outcome, CaseFile $case): string
    {
        $rule = $this->senses['counts_after'][$test][$outcome] ?? null;

        return null === $rule || $case->says($rule['after']) ? $outcome : $rule['else'];
    }

    /**
     * The tests that tell a fault best, with what each shows of it.
     *
     * @return list<array{test: string, outcome: string, share: float}> the plainest first
     */
    public function proofs(string $fault, int $most): array
    {
        $bits = [];
        foreach ($this->faults[$fault]['shows'] ?? [] as $test => $shares) {
            $bits[$test] = (new InformationGain($this->tests[$test], [$fault => 0.5]))->bits();
        }
        arsort($bits);
        $proofs = [];
        foreach (array_keys(\array_slice($bits, 0, $most)) as $test) {
            $shares = array_map(floatval(...), $this->faults[$fault]['shows'][$test] ?? []);
            $share = max(0.0, ...array_values($shares));
            $proofs[] = ['test' => $test, 'outcome' => (string) array_search($share, $shares, true), 'share' => $share];
        }

        return $proofs;
    }

    /**
     * What this machine may have before any test, by the story of it as far as that is still believed; without what its
     * owner said of other things ({@see Beliefs}).
     */
    public function network(CaseFile $case): Network
    {
        $story = array_map(fn (string $claim): array => $this->story($claim, $case), self::STORY);
        $key = serialize([$case->machine->kind, $case->machine->cycle, $case->machine->usualFeed(), $case->machine->choke, $case->machine->electricStart, $case->standing('claim.idle_months')?->number, $story, array_map(fn (string $fault): array => [$fault, $this->wasSeen($fault, $case)], $case->cured())]);
        if ($key !== ($this->known[0] ?? null)) {
            $this->known = [$key, $this->networked($case)];
        }

        return $this->known[1];
    }

    private function networked(CaseFile $case): Network
    {
        $priors = $brings = $before = $seen = [];
        foreach ($this->faults as $fault => $known) {
            if (!$this->canBe($known, $case->machine)) {
                continue;
            }
            $prior = $this->onThisMachine($fault, (float) $known['prior'], $case);
            $priors[$fault] = min(Odds::MOST_PRIOR, max(Odds::LEAST_PRIOR, $prior));
            if ($case->wasPutRight($fault)) {
                // What it was before stays in the story: it has brought others, and something has brought it.
                $before[$fault] = self::HIDDEN.'was.'.$fault;
                $priors[$before[$fault]] = $priors[$fault];
                $priors[$fault] = min($prior, self::CURE_FAILS);
                if ($this->wasSeen($fault, $case)) {
                    $seen[] = $before[$fault];
                }
            }
        }
        foreach ($this->bringers() as $fault) {
            foreach (array_intersect_key($this->faults[$fault]['brings'] ?? [], $priors) as $other => $chance) {
                if (isset($priors[$fault])) {
                    $brings[$before[$fault] ?? $fault][$before[$other] ?? $other] = $this->onThisMachine($other, (float) $chance, $case, false);
                }
            }
        }

        return new Network($priors, $brings, array_fill_keys($seen, true), array_intersect_key($this->sides, $priors));
    }

    /** @return list<string> those that bring others, each after all that bring it */
    private function bringers(): array
    {
        $bringers = array_keys(array_filter($this->faults, static fn (array $known): bool => isset($known['brings'])));
        $brought = array_merge([], ...array_map(fn (string $fault): array => array_keys($this->faults[$fault]['brings'] ?? []), $bringers));
        // No bringer of the table is further than one from a beginning.
        $roots = array_values(array_diff($bringers, $brought));

        return [...$roots, ...array_values(array_diff($bringers, $roots))];
    }

    /** Whether somebody looked at a fault, whatever was done to it since. */
    private function wasSeen(string $fault, CaseFile $case): bool
    {
        foreach ($this->senses['sights'] as $test => $sights) {
            if ($case->everSaid([$test => array_map(strval(...), array_keys($sights, $fault, true))])) {
                return true;
            }
        }

        return false;
    }

    /** @return float a chance, its odds multiplied by what makes the fault likelier on this machine */
    private function onThisMachine(string $fault, float $chance, CaseFile $case, bool $byItself = true): float
    {
        $known = $this->faults[$fault];
        $factor = $known['kinds'][$case->machine->kind->value] ?? 1;
        $factor *= $this->byStory('claim.fuel_kind', $known['fuel_kind'] ?? [], $case);
        if ($byItself) {
            $idle = $case->standing('claim.idle_months')?->number;
            $byIdle = 1;
            foreach ($known['idle_months'] ?? [] as [$from, $times]) {
                $byIdle = null !== $idle && $idle >= $from ? $times : $byIdle;
            }
            $factor *= $byIdle * $this->byStory('claim.layup', $known['layup'] ?? [], $case);
        }
        $odds = $factor * $chance / (1 - $chance);

        return $odds / (1 + $odds);
    }

    /** @param array<string, float|int> $factors by what is said */
    private function byStory(string $claim, array $factors, CaseFile $case): float
    {
        if ([] === $factors) {
            return 1.0;
        }
        [$said, $standing] = $this->story($claim, $case);

        return $standing * ($factors[$said] ?? 1) + (1 - $standing);
    }

    /**
     * What is said counts as far as findings leave it standing; what was measured counts instead of what was said.
     *
     * @return array{string, float} what is said, and how much of it is left, 0 to 1
     */
    private function story(string $claim, CaseFile $case): array
    {
        $said = ClaimBelief::measured($claim, $case) ?? $case->standing($claim)->outcomes[0] ?? '';
        $rule = $this->claims[$claim][$said] ?? null;

        return [$said, null === $rule ? 1.0 : (new ClaimBelief($rule))->standing($case)];
    }

    /** @param Factors $known */
    private function canBe(array $known, MachineFacts $machine): bool
    {
        return (!isset($known['cycle']) || $known['cycle'] === $machine->cycle->value)
            && \in_array($machine->kind->value, $known['only_kinds'] ?? [$machine->kind->value], true)
            && (!isset($known['only_feed']) || $known['only_feed'] === $machine->usualFeed()->value)
            && (null === $machine->choke || \in_array($machine->choke->value, $known['chokes'] ?? [$machine->choke->value], true))
            && (($known['without_electric_start'] ?? true) || false !== $machine->electricStart);
    }
}
