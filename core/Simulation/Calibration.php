<?php

declare(strict_types=1);

namespace AwakeShed\Core\Simulation;

/**
 * Whether what is believed to so much per cent is so in so many of a hundred cases: a reliability table, the expected
 * calibration error over it, and the Brier score (G. W. Brier 1950, published).
 */
final class Calibration
{
    private const BINS = 10;

    /** @var array<int, array{count: int, believed: float, so: int}> by bin of a tenth */
    private array $bins = [];
    private float $squares = 0.0;
    private int $count = 0;

    /** @param float $belief 0 to 1 */
    public function add(float $belief, bool $isSo): void
    {
        $bin = min(self::BINS - 1, (int) floor($belief * self::BINS));
        $this->bins[$bin] ??= ['count' => 0, 'believed' => 0.0, 'so' => 0];
        ++$this->bins[$bin]['count'];
        $this->bins[$bin]['believed'] += $belief;
        $this->bins[$bin]['so'] += (int) $isSo;
        $this->squares += ($belief - (int) $isSo) ** 2;
        ++$this->count;
    }

    /** @return list<array{from: float, to: float, count: int, believed: float, so: float}> shares, of the bins that hold anything */
    public function table(): array
    {
        $table = [];
        for ($bin = 0; $bin < self::BINS; ++$bin) {
            if (isset($this->bins[$bin])) {
                ['count' => $count, 'believed' => $believed, 'so' => $so] = $this->bins[$bin];
                $table[] = ['from' => $bin / self::BINS, 'to' => ($bin + 1) / self::BINS, 'count' => $count, 'believed' => $believed / $count, 'so' => (float) ($so / $count)];
            }
        }

        return $table;
    }

    /** @return float mean distance of belief and truth over the bins, by their counts; 0 to 1 */
    public function expectedError(): float
    {
        $error = 0.0;
        foreach ($this->table() as ['count' => $count, 'believed' => $believed, 'so' => $so]) {
            $error += $count * abs($believed - $so);
        }

        return 0 === $this->count ? 0.0 : $error / $this->count;
    }

    /** @return float mean squared distance, 0 to 1 */
    public function brier(): float
    {
        return 0 === $this->count ? 0.0 : $this->squares / $this->count;
    }
}
