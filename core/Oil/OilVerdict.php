<?php

declare(strict_types=1);

namespace AwakeShed\Core\Oil;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\HoldDefinition;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Gate\Gatekeeper;

/** The first gate: what the dipstick says, before anything turns (common practice). */
final readonly class OilVerdict
{
    /** The looks the gate is made of, in the order they are made. */
    public const LOOKS = ['look.oil_level', 'look.oil_smell', 'look.oil_body', 'look.oil_colour'];

    /** Outcomes that say something against the oil, whatever the others say. */
    private const SPEAKING = ['far_over', 'gas', 'thin', 'milky', 'black', 'below_mark', 'unreadable', 'over_mark'];

    /**
     * @param list<string> $reasons the outcomes that made the decision
     * @param list<string> $missing the looks still to be made, or made again
     */
    private function __construct(public OilDecision $decision, public array $reasons, public array $missing)
    {
    }

    public static function onCase(CaseFile $case, Vocabulary $vocabulary, Gatekeeper $gatekeeper): self
    {
        if (!$vocabulary->applies(self::LOOKS[0], $case->machine)) {
            return new self(OilDecision::NotApplicable, [], []);
        }
        $owed = array_values(array_intersect(self::LOOKS, $gatekeeper->looksOwed($case)));
        $unseen = array_values(array_filter(self::LOOKS, static fn (string $look): bool => null === $case->standing($look)));
        $holds = array_map(static fn (HoldDefinition $hold): string => $hold->id, $gatekeeper->standingHolds($case));

        return new self(match (true) {
            \in_array('hold.gas_in_oil', $holds, true) => OilDecision::DrainFirst,
            \in_array('hold.oil_unreadable', $holds, true) => OilDecision::PartNeeded,
            [] !== $owed => OilDecision::LookAgain,
            \in_array(self::LOOKS[0], $unseen, true) => OilDecision::NotLooked,
            [] !== $unseen => OilDecision::Incomplete,
            \in_array('hold.oil_low', $holds, true) => OilDecision::TopUp,
            \in_array('house.oil_black', $holds, true) => OilDecision::ChangeBeforeStart,
            self::standsAt($case, self::LOOKS[0], 'over_mark') => OilDecision::ChangeSoon,
            default => OilDecision::GoOn,
        }, self::reasonsIn($case, $owed), [] !== $owed ? $owed : $unseen);
    }

    /**
     * @param list<string> $owed looks whose finding was cured, and so no longer speaks
     *
     * @return list<string>
     */
    private static function reasonsIn(CaseFile $case, array $owed): array
    {
        $seen = [];
        foreach (array_diff(self::LOOKS, $owed) as $look) {
            $seen = [...$seen, ...$case->standing($look)->outcomes ?? []];
        }

        return array_values(array_intersect(self::SPEAKING, $seen));
    }

    private static function standsAt(CaseFile $case, string $look, string $outcome): bool
    {
        return true === $case->standing($look)?->saysAnyOf([$outcome]);
    }
}
