<?php

declare(strict_types=1);

namespace AwakeShed\Core\Line;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Core\Table;

/**
 * What is known of every element of a machine's line, read off its findings by data/bearings.json.
 *
 * Of each test only the standing finding speaks; of all that bear on an element the gravest is shown, except that a
 * thing proved good outweighs a mere suspicion. A cure silences what was found before it.
 */
final readonly class Line
{
    /**
     * @param array<string, array<string, array<string, string>>> $outcomes test => outcome => element => tone
     * @param array<string, string>                               $faults   fault => element
     */
    private function __construct(private array $outcomes, private array $faults)
    {
    }

    public static function shipped(): self
    {
        /** @var array{outcomes: array<string, array<string, array<string, string>>>, faults: array<string, string>} $bearings */
        $bearings = Table::read(__DIR__.'/data/bearings.json');

        return new self($bearings['outcomes'], $bearings['faults']);
    }

    /** @return non-empty-list<ElementState> every element, in the order fuel meets them */
    public function of(CaseFile $case): array
    {
        /** @var array<string, array<string, array{Tone, string}>> $spoken element => test => [tone, outcome] */
        $spoken = [];
        $cured = [];
        foreach ($case->events as $event) {
            if ($event instanceof PutRight) {
                $element = $this->faults[$event->fault] ?? null;
                if (null !== $element) {
                    unset($spoken[$element]);
                    $cured[$element] = true;
                }

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
            static fn (Element $element): ElementState => self::stateOf($element, $spoken[$element->value] ?? [], isset($cured[$element->value])),
            Element::cases(),
        );
    }

    /** @return array<string, array{Tone, string}> element => the gravest of the finding's outcomes, with its name */
    private function tonesOf(Finding $finding): array
    {
        $tones = [];
        foreach ($finding->outcomes as $outcome) {
            foreach ($this->outcomes[$finding->test][$outcome] ?? [] as $element => $name) {
                $tone = Tone::from($name);
                if (!isset($tones[$element]) || $tone->weight() > $tones[$element][0]->weight()) {
                    $tones[$element] = [$tone, $outcome];
                }
            }
        }

        return $tones;
    }

    /** @param array<string, array{Tone, string}> $spoken by test */
    private static function stateOf(Element $element, array $spoken, bool $cured): ElementState
    {
        $tones = array_map(static fn (array $said): Tone => $said[0], array_values($spoken));
        $tone = $cured ? Tone::PutRight : Tone::NotLookedAt;
        if (\in_array(Tone::Good, $tones, true)) {
            $tones = array_filter($tones, static fn (Tone $said): bool => !$said->isSuspicion() || Tone::Strong === $said);
        }
        foreach ($tones as $said) {
            if (!($cured && Tone::Good === $said) && $said->weight() > $tone->weight()) {
                $tone = $said;
            }
        }
        $because = [];
        foreach ($spoken as $test => [$said, $outcome]) {
            if ($said === $tone || (Tone::PutRight === $tone && Tone::Good === $said)) {
                $because[] = ['test' => $test, 'outcome' => $outcome];
            }
        }

        return new ElementState($element, $tone, $because);
    }
}
