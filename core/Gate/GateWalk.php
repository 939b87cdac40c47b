<?php

declare(strict_types=1);

namespace AwakeShed\Core\Gate;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Table;

/** The walk round a stood machine (data/walk.json), cut to what this machine can have. */
final readonly class GateWalk
{
    /** @param list<Gate> $gates every gate of the trade, in order */
    private function __construct(private array $gates, private Vocabulary $vocabulary, private Gatekeeper $gatekeeper)
    {
    }

    public static function shipped(Vocabulary $vocabulary, Gatekeeper $gatekeeper): self
    {
        /** @var array{gates: list<array{id: string, needed: list<string>, worth: list<string>}>} $walk */
        $walk = Table::read(__DIR__.'/data/walk.json');

        return new self(array_map(
            static fn (array $gate): Gate => new Gate($gate['id'], $gate['needed'], $gate['worth']),
            $walk['gates'],
        ), $vocabulary, $gatekeeper);
    }

    public function has(string $gate): bool
    {
        return \in_array($gate, array_column($this->gates, 'id'), true);
    }

    /** @return string|null the gate at which a look is needed; null where none needs it */
    public function gateOf(string $look): ?string
    {
        foreach ($this->gates as $gate) {
            if (\in_array($look, $gate->needed, true)) {
                return $gate->id;
            }
        }

        return null;
    }

    /** @return list<GateState> the gates of this machine, in the order they are walked */
    public function walked(CaseFile $case): array
    {
        $owed = $this->gatekeeper->looksOwed($case);
        $holds = $this->gatekeeper->standingHolds($case);
        $gates = array_filter(
            array_map(fn (Gate $gate): Gate => $this->cutTo($case, $gate), $this->gates),
            static fn (Gate $gate): bool => [] !== $gate->looks(),
        );
        $closed = $this->gatekeeper->closed($case, array_merge(...array_map(static fn (Gate $gate): array => $gate->looks(), array_values($gates))));
        $states = [];
        foreach ($gates as $gate) {
            $standing = [];
            foreach ($holds as $hold) {
                if ([] !== array_intersect(array_keys($hold->whenAny), $gate->looks())) {
                    $standing[] = $hold;
                }
            }
            $states[] = new GateState(
                $gate,
                array_values(array_filter($gate->needed, fn (string $look): bool => \in_array($look, $owed, true) || !$this->isDone($case, $look))),
                $standing,
                array_intersect_key($closed, array_flip($gate->looks())),
            );
        }

        return $states;
    }

    private function cutTo(CaseFile $case, Gate $gate): Gate
    {
        $applies = fn (string $look): bool => $this->vocabulary->applies($look, $case->machine) && $this->isDemanded($case, $look);

        return new Gate($gate->id, array_values(array_filter($gate->needed, $applies)), array_values(array_filter($gate->worth, $applies)));
    }

    /** Preparations are asked for only of machines a house rule asks them of, and never taken off the list once recorded. */
    private function isDemanded(CaseFile $case, string $look): bool
    {
        foreach ($this->vocabulary->prerequisites as $rule) {
            if ($rule->test === $look) {
                return ($case->standing($rule->claim)->number ?? 0.0) >= $rule->atLeast || null !== $case->standing($look);
            }
        }

        return true;
    }

    private function isDone(CaseFile $case, string $look): bool
    {
        $finding = $case->standing($look);
        foreach ($this->vocabulary->prerequisites as $rule) {
            if ($rule->test === $look) {
                return true === $finding?->saysAnyOf([$rule->outcome]);
            }
        }

        return null !== $finding || $this->isStillGood($case, $look);
    }

    /**
     * What was good before an act changed it, is good after it (fresh oil into sound oil): only what opens a start is looked
     * at each time.
     */
    private function isStillGood(CaseFile $case, string $look): bool
    {
        $last = $case->isVoided($look) ? $case->lastFound($look) : null;
        if (null === $last || \in_array($look, $this->vocabulary->test('start.plain')->after, true)) {
            return false;
        }
        foreach ($this->vocabulary->holds as $hold) {
            if ($hold->isSetBy($last)) {
                return false;
            }
        }

        return true;
    }
}
