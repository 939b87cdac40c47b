<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

/**
 * What a test is expected to tell of each fault: their mutual information in bits (C. E. Shannon 1948, published), each
 * fault by itself with the others as likely as they are believed, and of all together no more than the test's own entropy.
 */
final readonly class InformationGain
{
    /** Of a fault believed no more than this, no test tells anything worth a minute. */
    private const NEGLIGIBLE = 1e-4;

    /** @var array<string, float> bits, the most first */
    public array $byFault;

    private float $entropy;

    /**
     * @param array<string, float> $beliefs by fault
     * @param array<string, float> $concern by fault, how much it matters to know, 0 to 1; 1 where it is not named
     */
    public function __construct(TestModel $model, array $beliefs, array $concern = [])
    {
        $cumulative = $model->cumulative($beliefs);
        $this->entropy = self::entropy($cumulative);
        $byFault = [];
        foreach ($model->causes as $fault => $upTo) {
            $believed = $beliefs[$fault] ?? 0.0;
            if ($believed <= self::NEGLIGIBLE || $believed >= 1.0 || 0.0 === ($concern[$fault] ?? 1.0)) {
                continue;
            }
            // Both entropies in one walk over the outcomes: this is what an assessment spends its time on.
            $nats = $without = $with = 0.0;
            foreach ($upTo as $place => $factor) {
                $part = 1 - $believed + $believed * $factor;
                $noMoreWithout = $part > 0.0 ? $cumulative[$place] / $part : 0.0;
                $noMoreWith = $noMoreWithout * $factor;
                $share = $noMoreWithout - $without;
                $nats += $share > 0.0 ? (1 - $believed) * $share * log($share) : 0.0;
                $share = $noMoreWith - $with;
                $nats += $share > 0.0 ? $believed * $share * log($share) : 0.0;
                [$without, $with] = [$noMoreWithout, $noMoreWith];
            }
            $byFault[$fault] = ($concern[$fault] ?? 1.0) * max(0.0, $this->entropy + $nats / \M_LN2);
        }
        arsort($byFault);
        $this->byFault = $byFault;
    }

    public function bits(): float
    {
        return min($this->entropy, array_sum($this->byFault));
    }

    /**
     * @param array<int, float> $cumulative chances of no more than each outcome
     *
     * @return float bits
     */
    public static function entropy(array $cumulative): float
    {
        $nats = $before = 0.0;
        foreach ($cumulative as $here) {
            $share = $here - $before;
            if ($share > 0.0) {
                $nats -= $share * log($share);
            }
            $before = $here;
        }

        return $nats / \M_LN2;
    }
}
