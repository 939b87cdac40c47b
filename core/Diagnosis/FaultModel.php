<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Table;

/**
 * How often faults are met and what each shows (data/model.json; common practice and from memory throughout).
 *
 * @phpstan-type Factors array{prior: float|int, idle_months?: list<array{float|int, float|int}>, layup?: array<string, float|int>, fuel_kind?: array<string, float|int>, kinds?: array<string, float|int>, cycle?: string, brings?: array<string, float|int>, shows: array<string, array<string, float|int>>}
 * @phpstan-type ClaimRule array{base: float|int, against?: array<string, array<string, float|int>>, above?: array<string, array{float|int, float|int}>, below?: array<string, array{float|int, float|int}>}
 */
final readonly class FaultModel
{
    private const LEAST_PRIOR = 0.0005;
    private const MOST_PRIOR = 0.75;

    /** Of a cure, that it did not take. */
    private const CURE_FAILS = 0.05;

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
        /** @var array{sound: array<string, non-empty-array<string, float|int>>, faults: array<string, Factors>, claims: array<string, array<string, ClaimRule>>} $data */
        $data = Table::read(__DIR__.'/data/model.json');
        $tests = [];
        foreach ($data['sound'] as $test => $sound) {
            $shows = [];
            foreach ($data['faults'] as $fault => $known) {
                if (isset($known['shows'][$test])) {
                    $shows[$fault] = $known['shows'][$test];
                }
            }
            $tests[$test] = TestModel::of($sound, $shows);
        }

        return new self($tests, $data['faults'], $data['claims']);
    }

    /** @return list<string> */
    public function faults(): array
    {
        return array_keys($this->faults);
    }

    /** @return array<string, array<string, float>> fault => chance by which it brings another by itself */
    public function brings(): array
    {
        $brings = [];
        foreach ($this->faults as $fault => $known) {
            if (isset($known['brings'])) {
                $brings[$fault] = array_map(floatval(...), $known['brings']);
            }
        }

        return $brings;
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
            $priors[$fault] = $case->wasPutRight($fault) ? min($prior, self::CURE_FAILS) : min(self::MOST_PRIOR, max(self::LEAST_PRIOR, $prior));
        }

        return $priors;
    }

    /** @param Factors $known */
    private function canBe(array $known, MachineFacts $machine): bool
    {
        return !isset($known['cycle']) || $known['cycle'] === $machine->cycle->value;
    }
}
