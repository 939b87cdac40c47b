<?php

declare(strict_types=1);

namespace AwakeShed\Core\Jet;

use AwakeShed\Core\Units\ImpossibleAmount;
use AwakeShed\Core\Units\Length;

/** Opening a jet with a drill: what it would do, and whether this shop may. */
final readonly class JetEnlargement
{
    /** Metric jets come so far apart, mm (common practice). */
    private const STEP_MM = 0.05;

    /** More flow than this is no next size, whatever the drill is called (common practice, drawn wide). */
    private const MOST_FLOW = 2.0;

    /** @param list<BeforeDrilling> $missing */
    private function __construct(
        /** Area, and so flow, against before: 1.148 for 14.8 % more. */
        public float $flow,
        public DrillingSchool $school,
        public array $missing,
        /** It goes no further than the next drill, or the next jet of a metric set. */
        public bool $isOneStep,
    ) {
    }

    /**
     * @param JetBore              $to   wider than it is, up to twice the flow
     * @param list<BeforeDrilling> $done
     * @param Length|null          $next the next drill up; null beyond the table
     *
     * @throws ImpossibleAmount when the new bore is not wider, or far too wide
     */
    public static function weigh(JetBore $from, JetBore $to, DrillingSchool $school, array $done, ?Length $next): self
    {
        $flow = $from->flowInto($to);
        ImpossibleAmount::unlessBetween($flow, 1.000001, self::MOST_FLOW, '×');
        $missing = array_filter(BeforeDrilling::cases(), static fn (BeforeDrilling $step): bool => !\in_array($step, $done, true));

        $farthest = max($next?->inMillimetres() ?? 0.0, $from->diameter->inMillimetres() + self::STEP_MM);

        return new self($flow, $school, array_values($missing), $to->diameter->inMillimetres() <= $farthest + 1e-6);
    }

    public function isAllowed(): bool
    {
        return DrillingSchool::NextSizeUp === $this->school && [] === $this->missing && $this->isOneStep;
    }

    /**
     * What becomes of the mixture on the circuit this jet feeds alone: the same air with more fuel.
     *
     * @param float $airToFuel 8 to 25, by mass, before
     *
     * @throws ImpossibleAmount outside that
     */
    public function mixtureFrom(float $airToFuel): float
    {
        ImpossibleAmount::unlessBetween($airToFuel, 8.0, 25.0, ': 1');

        return $airToFuel / $this->flow;
    }
}
