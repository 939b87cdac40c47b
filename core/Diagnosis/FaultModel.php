<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\MachineFacts;

/**
 * How often faults are met and what each shows ({@see Odds}).
 *
 * @phpstan-type Factors array{prior: float|int, idle_months?: list<array{float|int, float|int}>, layup?: array<string, float|int>, fuel_kind?: array<string, float|int>, kinds?: array<string, float|int>, cycle?: string, only_kinds?: list<string>, only_feed?: string, without_electric_start?: bool, brings?: array<string, float|int>, shows: array<string, array<string, float|int>>}
 * @phpstan-type ClaimRule array{base: float|int, against?: array<string, array<string, float|int>>, above?: array<string, array{float|int, float|int}>, below?: array<string, array{float|int, float|int}>}
 */
final readonly class FaultModel
{
    /** Of a cure, that it did not take. */
    public const CURE_FAILS = 0.05;

    /**
     * @param array<string, TestModel>                $tests
     * @param array<string, Factors>                  $faults
     * @param array<string, array<string, ClaimRule>> $claims
     */
    private function __construct(public array $tests, private array $faults, public array $claims)
    {
    }

    public static function shipped(): self
    {
        return self::fromOdds(Odds::shipped());
    }

    public static function fromOdds(Odds $odds): self
    {
        ['sound' => $sounds, 'faults' => $faults, 'claims' => $claims] = $odds->numbers;
        $tests = [];
        foreach ($sounds as $test => $sound) {
            $shows = [];
            foreach ($faults as $fault => $known) {
                if (isset($known['shows'][$test])) {
                    $shows[$fault] = $known['shows'][$test];
                }
            }
            $tests[$test] = TestModel::fromOdds($sound, $shows);
        }

        return new self($tests, $faults, $claims);
    }

    /** @return list<string> */
    public function faults(): array
    {
        return array_keys($this->faults);
    }

    /** @return array<string, mixed> the tests in which a fault shows, as keys */
    public function shownBy(string $fault): array
    {
        return $this->faults[$fault]['shows'] ?? [];
    }

    /**
     * The tests that tell a fault best, with what each shows of it.
     *
     * @return list<array{test: string, outcome: string, share: float}> the plainest first
     */
    public function proofs(string $fault, int $most): array
    {
        $bits = [];
        foreach ($this->faults[$fault]['shows'] as $test => $shares) {
            $bits[$test] = (new InformationGain($this->tests[$test], [$fault => 0.5]))->bits();
        }
        arsort($bits);
        $proofs = [];
        foreach (array_keys(\array_slice($bits, 0, $most)) as $test) {
            $shares = array_map(floatval(...), $this->faults[$fault]['shows'][$test]);
            $share = max(0.0, ...array_values($shares));
            $proofs[] = ['test' => $test, 'outcome' => (string) array_search($share, $shares, true), 'share' => $share];
        }

        return $proofs;
    }

    /** @return array<string, array<string, float>> fault => chance by which it brings another by itself; what is brought comes last */
    public function brings(): array
    {
        $brings = [];
        foreach ($this->faults as $fault => $known) {
            if (isset($known['brings'])) {
                $brings[$fault] = array_map(floatval(...), $known['brings']);
            }
        }
        $brought = array_merge([], ...array_values($brings));

        return array_diff_key($brings, $brought) + $brings;
    }

    /**
     * How likely each fault is before any test, on this machine with these claims.
     *
     * @return array<string, float> by fault; nothing for a fault the machine cannot have
     */
    public function priors(CaseFile $case): array
    {
        $idle = $case->standing('claim.idle_months')?->number;
        $layup = $case->standing('claim.layup')->outcomes[0] ?? '';
        $fuel = $case->standing('claim.fuel_kind')->outcomes[0] ?? '';
        $priors = [];
        foreach ($this->faults as $fault => $known) {
            if (!$this->canBe($known, $case->machine)) {
                continue;
            }
            $odds = $known['prior'] / (1 - $known['prior']);
            foreach ($known['idle_months'] ?? [] as [$from, $factor]) {
                if (null !== $idle && $idle >= $from) {
                    $byIdle = $factor;
                }
            }
            $odds *= ($byIdle ?? 1) * ($known['layup'][$layup] ?? 1) * ($known['fuel_kind'][$fuel] ?? 1) * ($known['kinds'][$case->machine->kind->value] ?? 1);
            unset($byIdle);
            $prior = $odds / (1 + $odds);
            $priors[$fault] = $case->wasPutRight($fault) ? min($prior, self::CURE_FAILS) : min(Odds::MOST_PRIOR, max(Odds::LEAST_PRIOR, $prior));
        }

        return $priors;
    }

    /** @param Factors $known */
    private function canBe(array $known, MachineFacts $machine): bool
    {
        return (!isset($known['cycle']) || $known['cycle'] === $machine->cycle->value)
            && \in_array($machine->kind->value, $known['only_kinds'] ?? [$machine->kind->value], true)
            && (!isset($known['only_feed']) || $known['only_feed'] === $machine->usualFeed()->value)
            && (($known['without_electric_start'] ?? true) || false !== $machine->electricStart);
    }
}
