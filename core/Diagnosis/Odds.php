<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

use AwakeShed\Core\Table;

/**
 * The numbers the fault model is made of (data/model.json), each with a path: "sound/TEST/OUTCOME", "faults/FAULT/prior",
 * "faults/FAULT/shows/TEST/OUTCOME", "faults/FAULT/brings/FAULT", "claims/CLAIM/OUTCOME/base". Shares, 0 to 1.
 *
 * @phpstan-import-type Factors from FaultModel
 * @phpstan-import-type ClaimRule from FaultModel
 * @phpstan-import-type Senses from FaultModel
 *
 * @phpstan-type Numbers array{sound: array<string, non-empty-array<string, float|int>>, faults: array<string, Factors>, claims: array<string, array<string, ClaimRule>>}
 */
final readonly class Odds
{
    public const LEAST_PRIOR = 0.0005;
    public const MOST_PRIOR = 0.75;

    /** The shares of a row are typed in whole tenths of a per cent at the finest, and may miss their sum by that. */
    private const SUM_TOLERANCE = 0.0015;

    /**
     * @param Numbers               $numbers
     * @param array<string, string> $sources by kind of number, its source class
     * @param Senses                $senses  what is no number: what is seen outright, what lies on which side
     */
    private function __construct(public array $numbers, public array $sources, public array $senses)
    {
    }

    public static function shipped(): self
    {
        /** @var array{sources: array<string, string>, sights: array<string, array<string, string>>, counts_after: array<string, array<string, array{after: array<string, list<string>>, else: string}>>, sides: array<string, list<string>>, beside: list<string>, twins: array<string, string>, sound: array<string, non-empty-array<string, float|int>>, faults: array<string, Factors>, claims: array<string, array<string, ClaimRule>>} $data */
        $data = Table::read(__DIR__.'/data/model.json');

        return new self(
            ['sound' => $data['sound'], 'faults' => $data['faults'], 'claims' => $data['claims']],
            $data['sources'],
            ['sights' => $data['sights'], 'counts_after' => $data['counts_after'], 'sides' => $data['sides'], 'beside' => $data['beside'], 'twins' => $data['twins']],
        );
    }

    /** @return float|null null where there is no such number, which for a share of a fault's row means 0 */
    public function at(string $path): ?float
    {
        $here = $this->numbers;
        foreach (explode('/', $path) as $key) {
            if (!\is_array($here) || !\array_key_exists($key, $here)) {
                return null;
            }
            $here = $here[$key];
        }

        return is_numeric($here) ? (float) $here : null;
    }

    /**
     * @param array<string, float> $changes by path
     *
     * @throws ImpossibleOdds
     */
    public function with(array $changes): self
    {
        $numbers = $this->numbers;
        foreach ($changes as $path => $value) {
            $parts = explode('/', $path);
            match (true) {
                3 === \count($parts) && 'sound' === $parts[0] && isset($numbers['sound'][$parts[1]][$parts[2]]) => $numbers['sound'][$parts[1]][$parts[2]] = $value,
                3 === \count($parts) && 'faults' === $parts[0] && 'prior' === $parts[2] && isset($numbers['faults'][$parts[1]]) => $numbers['faults'][$parts[1]]['prior'] = $value,
                4 === \count($parts) && 'brings' === $parts[2] && isset($numbers['faults'][$parts[1]]['brings'][$parts[3]]) => $numbers['faults'][$parts[1]]['brings'][$parts[3]] = $value,
                5 === \count($parts) && 'shows' === $parts[2] && isset($numbers['faults'][$parts[1]], $numbers['sound'][$parts[3]][$parts[4]]) => $numbers['faults'][$parts[1]]['shows'][$parts[3]][$parts[4]] = $value,
                4 === \count($parts) && 'claims' === $parts[0] && 'base' === $parts[3] && isset($numbers['claims'][$parts[1]][$parts[2]]) => $numbers['claims'][$parts[1]][$parts[2]]['base'] = $value,
                default => throw ImpossibleOdds::noSuchNumber($path),
            };
        }
        $changed = new self($numbers, $this->sources, $this->senses);
        foreach (array_keys($changes) as $path) {
            $changed->check($path);
        }

        return $changed;
    }

    /** @throws ImpossibleOdds when a number, or the row it stands in, cannot be */
    public function check(string $path): void
    {
        $parts = explode('/', $path);
        // What a row of a fault does not name, the fault does not show.
        $value = $this->at($path) ?? ('shows' === ($parts[2] ?? '') ? 0.0 : throw ImpossibleOdds::noSuchNumber($path));
        if ('prior' === ($parts[2] ?? '')) {
            ImpossibleOdds::unlessBetween($path, $value, self::LEAST_PRIOR, self::MOST_PRIOR);
        } elseif ('base' === ($parts[3] ?? '')) {
            ImpossibleOdds::unlessBetween($path, $value, 0.01, 0.99);
        } elseif ('sound' === $parts[0]) {
            // An outcome that can never be would make a finding impossible.
            ImpossibleOdds::unlessBetween($path, $value, 0.0001, 1.0);
            ImpossibleOdds::unlessSumsTo($path, array_sum($this->numbers['sound'][$parts[1]]), 1.0 - self::SUM_TOLERANCE, 1.0 + self::SUM_TOLERANCE);
        } else {
            ImpossibleOdds::unlessBetween($path, $value, 0.0, 1.0);
            if ('shows' === $parts[2]) {
                ImpossibleOdds::unlessSumsTo($path, array_sum($this->numbers['faults'][$parts[1]]['shows'][$parts[3]] ?? []), 0.0, 1.0 + self::SUM_TOLERANCE);
            }
        }
    }

    /** @return list<string> the paths of all numbers that have one */
    public function paths(): array
    {
        $paths = [];
        foreach ($this->numbers['sound'] as $test => $shares) {
            foreach (array_keys($shares) as $outcome) {
                $paths[] = "sound/$test/$outcome";
            }
        }
        foreach ($this->numbers['faults'] as $fault => $known) {
            $paths = [...$paths, ...self::pathsOf($fault, $known)];
        }
        foreach ($this->numbers['claims'] as $claim => $rules) {
            foreach (array_keys($rules) as $outcome) {
                $paths[] = "claims/$claim/$outcome/base";
            }
        }

        return $paths;
    }

    /** @return string what class of source a number is from */
    public function source(string $path): string
    {
        $parts = explode('/', $path);
        $kind = match ($parts[0]) {
            'faults' => $parts[2] ?? '',
            default => $parts[0],
        };

        return $this->sources[$kind] ?? '';
    }

    /**
     * @param Factors $known
     *
     * @return list<string>
     */
    private static function pathsOf(string $fault, array $known): array
    {
        $paths = ["faults/$fault/prior"];
        foreach (array_keys($known['brings'] ?? []) as $brought) {
            $paths[] = "faults/$fault/brings/$brought";
        }
        foreach ($known['shows'] ?? [] as $test => $shares) {
            foreach (array_keys($shares) as $outcome) {
                $paths[] = "faults/$fault/shows/$test/$outcome";
            }
        }

        return $paths;
    }
}
