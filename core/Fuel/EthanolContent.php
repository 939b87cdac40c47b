<?php

declare(strict_types=1);

namespace AwakeShed\Core\Fuel;

/**
 * Ethanol in a fuel, as fractions by volume (0 to 1), with the half-width that the reading error leaves.
 *
 * The true content lies between `corrected − halfWidth` and `corrected + halfWidth + LEFT_IN_FUEL`.
 */
final readonly class EthanolContent
{
    /** Ethanol that stays in the gasoline at most; makes the result low, never high (from memory). */
    public const LEFT_IN_FUEL = 0.01;

    /** What the makers of small engines allow (common practice). */
    public const SMALL_ENGINE_LIMIT = 0.10;

    public function __construct(public float $naive, public float $corrected, public float $halfWidth)
    {
    }

    public function least(): float
    {
        return max(0.0, $this->corrected - $this->halfWidth);
    }

    public function most(): float
    {
        return min(1.0, $this->corrected + $this->halfWidth + self::LEFT_IN_FUEL);
    }

    /** The lowest grade the reading is still consistent with: a reading of 9.96 ± 0.6 % is E10, not "over". */
    public function grade(): EthanolGrade
    {
        foreach (EthanolGrade::cases() as $grade) {
            if ($this->least() <= $grade->mostEthanol()) {
                return $grade;
            }
        }

        throw new \LogicException('The last grade has no upper end.');
    }

    public function againstSmallEngineLimit(): EngineLimit
    {
        return match (true) {
            $this->least() > self::SMALL_ENGINE_LIMIT => EngineLimit::Over,
            $this->most() > self::SMALL_ENGINE_LIMIT => EngineLimit::CannotTell,
            default => EngineLimit::Within,
        };
    }
}
