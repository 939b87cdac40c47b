<?php

declare(strict_types=1);

namespace AwakeShed\Core\Proving;

use AwakeShed\Core\Stage\Act;

/**
 * A surge listened to at one, three and five minutes: what settles by itself as the engine warms is told apart from what
 * stays, which is lean where a little choke smooths it (common practice).
 */
final readonly class SurgeWatch
{
    private const READINGS = ['prove.after_1' => 1, 'prove.after_3' => 3, 'prove.after_5' => 5];
    private const CHOKE = 'prove.choke_helps';

    /** What begins a watch anew. */
    private const WARM_UP = 'prove.warm_up';

    private const WARM = 5;

    /**
     * @param array<int, string> $readings steady or surges, by minute
     * @param string|null        $choke    smooths, no_change or worse; null where nobody tried it
     */
    private function __construct(public array $readings, public ?string $choke)
    {
    }

    /** @param list<Act> $acts in the order they were done; the watch is the one since the last warm-up was begun */
    public static function of(array $acts): self
    {
        $readings = [];
        $choke = null;
        foreach ($acts as $act) {
            if (self::WARM_UP === $act->step) {
                [$readings, $choke] = [[], null];
            }
            $minute = self::READINGS[$act->step] ?? null;
            if (null !== $minute && null !== $act->choice) {
                $readings[$minute] = $act->choice;
            }
            $choke = self::CHOKE === $act->step ? $act->choice : $choke;
        }

        return new self($readings, $choke);
    }

    public function verdict(): SurgeVerdict
    {
        $warm = $this->readings[self::WARM] ?? null;

        return match (true) {
            null === $warm => SurgeVerdict::NotYet,
            'steady' === $warm => \in_array('surges', $this->readings, true) ? SurgeVerdict::Settles : SurgeVerdict::Steady,
            null === $this->choke => SurgeVerdict::TryChoke,
            'smooths' === $this->choke => SurgeVerdict::Lean,
            default => SurgeVerdict::NotByFuel,
        };
    }

    /** @return array<string, string> in the open case format, beside the finding it comes to */
    public function measured(): array
    {
        $measured = [];
        foreach ($this->readings as $minute => $reading) {
            $measured["after_{$minute}_min"] = $reading;
        }

        return $measured + (null === $this->choke ? [] : ['choke' => $this->choke]);
    }
}
