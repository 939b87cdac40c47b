<?php

declare(strict_types=1);

namespace AwakeShed\Core\Simulation;

use AwakeShed\Core\Diagnosis\FaultModel;
use AwakeShed\Core\Diagnosis\ImpossibleOdds;
use AwakeShed\Core\Diagnosis\Odds;

/** How machines come to be as they are, beside what the advice supposes of them. */
enum World: string
{
    /** As the odds that ship say. */
    case Model = 'model';

    /** Every share of it a third too large or too small, each by itself. */
    case Shaken = 'shaken';

    /** As the odds say, but for exactly one fault each. */
    case OneFault = 'one_fault';

    /** What old fuel leaves comes together far oftener than the odds say, and hardly ever alone. */
    case CommonCause = 'common_cause';

    private const SHAKE = 1.3;
    private const STRONGER = 1.6;
    private const ALONE = 0.5;
    private const MOST = 0.97;

    public function hasOneFault(): bool
    {
        return self::OneFault === $this;
    }

    /** @return FaultModel by which machines are drawn and answer */
    public function model(Odds $odds, Dice $dice): FaultModel
    {
        return match ($this) {
            self::Model, self::OneFault => FaultModel::fromOdds($odds),
            self::Shaken => FaultModel::fromOdds(self::shaken($odds, $dice)),
            self::CommonCause => FaultModel::fromOdds(self::together($odds)),
        };
    }

    private static function shaken(Odds $odds, Dice $dice): Odds
    {
        $changes = [];
        foreach ($odds->paths() as $path) {
            if (str_starts_with($path, 'claims/')) {
                continue;
            }
            $share = $odds->at($path) ?? 0.0;
            [$least, $most] = str_ends_with($path, '/prior') ? [Odds::LEAST_PRIOR, Odds::MOST_PRIOR] : [0.0, self::MOST];
            $changes[$path] = max($least, min($most, $share * ($dice->for($path)->roll() < 0.5 ? self::SHAKE : 1 / self::SHAKE)));
        }

        return self::taken($odds, $changes);
    }

    private static function together(Odds $odds): Odds
    {
        $changes = [];
        foreach ($odds->numbers['faults'] as $cause => $known) {
            foreach (FaultModel::isHidden($cause) ? $known['brings'] ?? [] : [] as $fault => $chance) {
                $changes["faults/$cause/brings/$fault"] = min(self::MOST, self::STRONGER * $chance);
                $changes["faults/$fault/prior"] = max(Odds::LEAST_PRIOR, self::ALONE * $odds->numbers['faults'][$fault]['prior']);
            }
        }

        return self::taken($odds, $changes);
    }

    /**
     * @param array<string, float> $changes by path
     *
     * @throws ImpossibleOdds never: rows are brought to their sums first
     */
    private static function taken(Odds $odds, array $changes): Odds
    {
        foreach ($odds->numbers['sound'] as $test => $shares) {
            $base = (string) array_key_first($shares);
            $alarming = 0.0;
            foreach (array_keys(\array_slice($shares, 1)) as $outcome) {
                $changes["sound/$test/$outcome"] = max(0.0001, $changes["sound/$test/$outcome"] ?? (float) $shares[$outcome]);
                $alarming += $changes["sound/$test/$outcome"];
            }
            foreach (array_keys(\array_slice($shares, 1)) as $outcome) {
                $changes["sound/$test/$outcome"] *= min(1.0, self::MOST / max(1e-9, $alarming));
            }
            // What is left of a row goes to its least alarming outcome.
            $changes["sound/$test/$base"] = 1 - min(self::MOST, $alarming);
        }
        foreach ($odds->numbers['faults'] as $fault => $known) {
            foreach ($known['shows'] ?? [] as $test => $shares) {
                $sum = 0.0;
                foreach ($shares as $outcome => $share) {
                    $sum += $changes["faults/$fault/shows/$test/$outcome"] ?? $share;
                }
                foreach ($shares as $outcome => $share) {
                    $path = "faults/$fault/shows/$test/$outcome";
                    $changes[$path] = ($changes[$path] ?? $share) * min(1.0, self::MOST / max(1e-9, $sum));
                }
            }
        }

        return $odds->with($changes);
    }
}
