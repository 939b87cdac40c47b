<?php

declare(strict_types=1);

namespace AwakeShed\Core\Line;

use AwakeShed\Core\Diagnosis\FaultModel;
use AwakeShed\Core\Diagnosis\Suspect;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Core\Table;

/**
 * What is known of every element of a machine's line: proved good or bad by its findings (data/bearings.json), suspect by
 * what the fault model makes of all of them.
 *
 * Of each test only the standing finding speaks. A thing proved good outweighs a mere suspicion; a cure silences what was
 * found before it.
 */
final readonly class Line
{
    /** From so much on an element is suspected: by a hint, likely, strongly. What only the story says stays below strongly. */
    private const HINT = 0.2;
    private const LIKELY = 0.35;
    private const STRONG = 0.65;

    /** The claims that make a fault likelier without being tests of it. */
    private const STORY = ['claim.idle_months', 'claim.layup', 'claim.fuel_kind'];

    /** So many findings are named for a suspicion. */
    private const REASONS = 3;

    /**
     * @param array<string, array<string, array<string, string>>> $outcomes test => outcome => element => good or bad
     * @param array<string, list<string>>                         $faults   fault => elements
     * @param array<string, list<string>>                         $rooms    element, "machine" or "story" => the tests made there
     * @param \Closure(): FaultModel                              $model    asked only where a cure silences what was found
     */
    private function __construct(private array $outcomes, private array $faults, public array $rooms, private \Closure $model)
    {
    }

    /** @return list<string> its elements in their order, then what is around it */
    public static function places(): array
    {
        return array_keys(self::bearings()['rooms']);
    }

    /** @param \Closure(): FaultModel $model */
    public static function shipped(\Closure $model): self
    {
        $bearings = self::bearings();

        return new self($bearings['outcomes'], $bearings['faults'], $bearings['rooms'], $model);
    }

    /** Whether a finding proves something of the line bad. */
    public function provesBad(Finding $finding): bool
    {
        foreach ($this->tonesOf($finding) as [$tone]) {
            if (ElementTone::Bad === $tone) {
                return true;
            }
        }

        return false;
    }

    /** @return list<string> the faults that sit on an element */
    public function faultsOf(Element $element): array
    {
        return array_keys(array_filter($this->faults, static fn (array $elements): bool => \in_array($element->value, $elements, true)));
    }

    /**
     * @param list<Suspect> $suspects what the case is assessed to
     *
     * @return non-empty-list<ElementState> every element, in the order fuel meets them
     */
    public function states(CaseFile $case, array $suspects): array
    {
        /** @var array<string, array<string, array{ElementTone, string}>> $spoken element => test => [tone, outcome] */
        $spoken = [];
        $cured = [];
        foreach ($case->events as $event) {
            foreach ($event instanceof Done ? $event->act->voids : [] as $test) {
                foreach (array_keys($spoken) as $element) {
                    unset($spoken[$element][$test]);
                }
            }
            $faults = match (true) {
                $event instanceof PutRight => [$event->fault],
                $event instanceof Done => $event->act->putsRight,
                $event instanceof Finding => [],
            };
            foreach ($faults as $fault) {
                foreach ($this->faults[$fault] ?? [] as $element) {
                    // What speaks of the fault speaks no longer; another fault of the same element goes on speaking.
                    $spoken[$element] = array_diff_key($spoken[$element] ?? [], ($this->model)()->shownBy($fault));
                    $cured[$element] = true;
                }
            }
            if (!$event instanceof Finding) {
                continue;
            }
            $tones = $this->tonesOf($event);
            foreach (array_diff_key($spoken, $tones) as $element => $silent) {
                unset($spoken[$element][$event->test]);
            }
            foreach ($tones as $element => $said) {
                $spoken[$element][$event->test] = $said;
            }
        }

        return array_map(
            fn (Element $element): ElementState => self::proved($element, $spoken[$element->value] ?? [], isset($cured[$element->value]))
                ->or($this->suspected($element, $suspects, $case)),
            Element::cases(),
        );
    }

    /** @return array<string, array{ElementTone, string}> element => the gravest of the finding's outcomes, with its name */
    private function tonesOf(Finding $finding): array
    {
        $tones = [];
        foreach ($finding->outcomes as $outcome) {
            foreach ($this->outcomes[$finding->test][$outcome] ?? [] as $element => $name) {
                $tone = ElementTone::from($name);
                if (!isset($tones[$element]) || $tone->weight() > $tones[$element][0]->weight()) {
                    $tones[$element] = [$tone, $outcome];
                }
            }
        }

        return $tones;
    }

    /** @param array<string, array{ElementTone, string}> $spoken by test */
    private static function proved(Element $element, array $spoken, bool $cured): ElementState
    {
        $tones = array_map(static fn (array $said): ElementTone => $said[0], array_values($spoken));
        $tone = match (true) {
            \in_array(ElementTone::Bad, $tones, true) => ElementTone::Bad,
            $cured => ElementTone::PutRight,
            \in_array(ElementTone::Good, $tones, true) => ElementTone::Good,
            default => ElementTone::NotLookedAt,
        };
        $because = [];
        foreach ($spoken as $test => [$said, $outcome]) {
            if ($said === $tone || (ElementTone::PutRight === $tone && ElementTone::Good === $said)) {
                $because[] = ['test' => $test, 'outcome' => $outcome];
            }
        }

        return new ElementState($element, $tone, $because);
    }

    /** @param list<Suspect> $suspects */
    private function suspected(Element $element, array $suspects, CaseFile $case): ElementState
    {
        $sound = 1.0;
        $found = false;
        $because = [];
        foreach ($suspects as $suspect) {
            if (!\in_array($element->value, $this->faults[$suspect->fault] ?? [], true) || !$suspect->isRaised()) {
                continue;
            }
            $sound *= 1 - $suspect->probability;
            $found = $found || $suspect->isFound();
            foreach ($suspect->because as $reason) {
                if ($reason->logOdds > 0.0) {
                    $because[$reason->test] ??= ['test' => $reason->test, 'outcome' => $reason->outcome];
                }
            }
        }
        $tone = match (true) {
            1 - $sound >= self::STRONG && $found => ElementTone::Strong,
            1 - $sound >= self::LIKELY => ElementTone::Likely,
            1 - $sound >= self::HINT => ElementTone::Hint,
            default => ElementTone::NotLookedAt,
        };
        if ([] === $because) {
            foreach (self::STORY as $claim) {
                $because[] = ['test' => $claim, 'outcome' => $case->standing($claim)->outcomes[0] ?? ''];
            }
            $because = array_filter($because, static fn (array $said): bool => null !== $case->standing($said['test']));
        }

        return new ElementState($element, $tone, ElementTone::NotLookedAt === $tone ? [] : \array_slice(array_values($because), 0, self::REASONS));
    }

    /** @return array{outcomes: array<string, array<string, array<string, string>>>, faults: array<string, list<string>>, rooms: array<string, list<string>>} */
    private static function bearings(): array
    {
        /** @var array{outcomes: array<string, array<string, array<string, string>>>, faults: array<string, list<string>>, rooms: array<string, list<string>>} $bearings */
        $bearings = Table::read(__DIR__.'/data/bearings.json');

        return $bearings;
    }
}
