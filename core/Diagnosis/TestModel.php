<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

/**
 * What a test shows, of a sound machine and of each fault by itself. Several faults at once show the most alarming of
 * what each would show (noisy-max, F. J. Díez 1993, published): so the chance that a test shows no more than an outcome
 * is a product over the faults that are there.
 */
final readonly class TestModel
{
    /**
     * @param list<string>               $outcomes the least alarming first
     * @param list<float>                $sound    chance that a sound machine shows no more than each
     * @param array<string, list<float>> $causes   fault => chance that it shows no more than each
     */
    public function __construct(public array $outcomes, public array $sound, public array $causes)
    {
    }

    /**
     * @param non-empty-array<string, float|int>      $sound share of each outcome, the least alarming first; sums to 1
     * @param array<string, array<string, float|int>> $shows by fault, share of outcomes; the rest shows nothing
     */
    public static function fromOdds(array $sound, array $shows): self
    {
        return new self(...self::cumulated($sound, $shows));
    }

    /**
     * What one is made of, as plain numbers: worked out ahead for all that ship.
     *
     * @param array<string, float|int>                $sound
     * @param array<string, array<string, float|int>> $shows
     *
     * @return array{list<string>, list<float>, array<string, list<float>>}
     */
    public static function cumulated(array $sound, array $shows): array
    {
        $outcomes = array_keys($sound);

        return [$outcomes, self::upToEach($outcomes, $sound), array_map(static fn (array $shares): array => self::upToEach($outcomes, $shares), $shows)];
    }

    /** @return int|null its place among the outcomes; null for a word the model does not know */
    public function place(string $outcome): ?int
    {
        $place = array_search($outcome, $this->outcomes, true);

        return false === $place ? null : $place;
    }

    /** @return float chance that a sound machine shows no more than the outcome at this place; 0 below the first */
    public function soundUpTo(int $place): float
    {
        return $place < 0 ? 0.0 : $this->sound[$place];
    }

    /** @return float chance that this fault shows no more than the outcome at this place; 1 where it shows nothing here */
    public function upTo(string $fault, int $place): float
    {
        return $place < 0 ? 0.0 : ($this->causes[$fault][$place] ?? 1.0);
    }

    /**
     * @param array<string, float> $beliefs by fault
     *
     * @return array<int, float> chance of no more than each outcome, the faults being as likely as they are believed
     */
    public function cumulative(array $beliefs): array
    {
        $cumulative = $this->sound;
        foreach ($this->causes as $fault => $upTo) {
            $believed = $beliefs[$fault] ?? 0.0;
            foreach ($upTo as $place => $factor) {
                $cumulative[$place] *= 1 - $believed + $believed * $factor;
            }
        }

        return $cumulative;
    }

    /**
     * @param list<string>             $outcomes the least alarming first
     * @param array<string, float|int> $shares   of outcomes
     *
     * @return list<float> chance of no more than each
     */
    private static function upToEach(array $outcomes, array $shares): array
    {
        $above = 0.0;
        $upTo = [];
        foreach (array_reverse($outcomes) as $outcome) {
            $upTo[] = max(0.0, 1 - $above);
            $above += (float) ($shares[$outcome] ?? 0.0);
        }

        return array_reverse($upTo);
    }
}
