<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

/**
 * What a test is expected to tell of each fault: their mutual information in bits (C. E. Shannon 1948, published), each
 * fault by itself with the others as likely as they are believed, and of all together no more than the test's own entropy.
 */
final readonly class Information
{
    /** @var array<string, float> bits, the most first */
    public array $byFault;

    private float $entropy;

    /**
     * @param array<string, float> $beliefs by fault
     * @param array<string, float> $concern by fault, how much it matters to know, 0 to 1; 1 where it is not named
     */
    public function __construct(TestModel $model, array $beliefs, array $concern = [])
    {
        $count = \count($model->outcomes);
        $cumulative = [];
        for ($place = 0; $place < $count; ++$place) {
            $product = $model->soundUpTo($place);
            foreach (array_keys($model->causes) as $fault) {
                $believed = $beliefs[$fault] ?? 0.0;
                $product *= 1 - $believed + $believed * $model->upTo($fault, $place);
            }
            $cumulative[] = $product;
        }
        $this->entropy = self::entropy(self::shares($cumulative));
        $byFault = [];
        foreach (array_keys($model->causes) as $fault) {
            $believed = $beliefs[$fault] ?? 0.0;
            if ($believed <= 0.0 || $believed >= 1.0) {
                continue;
            }
            $without = $with = [];
            for ($place = 0; $place < $count; ++$place) {
                $factor = $model->upTo($fault, $place);
                $own = 1 - $believed + $believed * $factor;
                $without[] = $own > 0.0 ? $cumulative[$place] / $own : 0.0;
                $with[] = $own > 0.0 ? $cumulative[$place] / $own * $factor : 0.0;
            }
            $byFault[$fault] = ($concern[$fault] ?? 1.0) * max(0.0, $this->entropy - (1 - $believed) * self::entropy(self::shares($without)) - $believed * self::entropy(self::shares($with)));
        }
        arsort($byFault);
        $this->byFault = $byFault;
    }

    public function bits(): float
    {
        return min($this->entropy, array_sum($this->byFault));
    }

    /**
     * @param list<float> $shares
     *
     * @return float bits
     */
    public static function entropy(array $shares): float
    {
        $entropy = 0.0;
        foreach ($shares as $share) {
            $entropy -= $share > 0.0 ? $share * log($share, 2) : 0.0;
        }

        return $entropy;
    }

    /**
     * @param list<float> $cumulative
     *
     * @return list<float>
     */
    private static function shares(array $cumulative): array
    {
        $shares = [];
        $before = 0.0;
        foreach ($cumulative as $here) {
            $shares[] = max(0.0, $here - $before);
            $before = $here;
        }

        return $shares;
    }
}
