<?php

declare(strict_types=1);

namespace AwakeShed\Core\Evidence;

use AwakeShed\Core\Table;
use AwakeShed\Core\Units\ImpossibleAmount;

/**
 * @phpstan-type Several array{alone: list<string>, not_both: list<array{string, string}>}
 * @phpstan-type OnlyFor array{tests: list<string>, kinds?: list<string>, cycles?: list<string>, electric_start?: bool, cylinders?: int, feed?: string, chokes?: list<string>}
 *
 * The open vocabulary (data/vocabulary.json, a contract: ids grow, they are never renamed) and the shed's own
 * stricter rules beside it (data/house-rules.json).
 */
final readonly class Vocabulary
{
    /**
     * @param array<string, TestDefinition>                                         $tests         by id
     * @param array<string, ActDefinition>                                          $acts          by id
     * @param array<string, string>                                                 $faults        id => English name
     * @param list<HoldDefinition>                                                  $holds
     * @param list<Prerequisite>                                                    $prerequisites
     * @param array<string, array{least: float|int, most: float|int, unit: string}> $numbers       by test id
     * @param array<string, non-empty-list<OnlyFor>>                                $onlyFor       by test id
     * @param array<string, non-empty-list<string>>                                 $schools       question => schools, the default first
     * @param array<string, array<string, string>>                                  $schoolsByKind by kind, question => the school that is usual for it
     */
    private function __construct(
        public array $tests,
        public array $acts,
        public array $faults,
        public array $holds,
        public array $prerequisites,
        private array $numbers,
        private array $onlyFor,
        public array $schools,
        private array $schoolsByKind,
    ) {
    }

    public static function shipped(): self
    {
        /** @var array{tests: list<array{id: string, stage: string, minutes: float|int, outcomes: list<string>|'number', after: list<string>, kinds?: list<string>, cycles?: list<string>}>, acts: list<array{id: string, thing: string, state: string, voids: list<string>, puts_right: list<string>, measured: list<string>, kinds?: list<string>}>, faults: list<array{id: string, name: string}>, holds: list<array{id: string, when_any: array<string, list<string>>, blocks: list<string>, until_put_right_any?: list<string>, until_new_finding?: string, kinds?: list<string>}>} $open */
        $open = self::decode('vocabulary.json');
        /** @var array{numbers: array<string, array{least: float|int, most: float|int, unit: string}>, only_for: list<OnlyFor>, act_shows: array<string, array<string, string>>, ways_out: array<string, non-empty-list<string>>, mended_in_hand: list<string>, holds: list<array{id: string, when_any: array<string, list<string>>, blocks: list<string>, until_put_right_any?: list<string>, until_new_finding?: string, kinds?: list<string>}>, after: list<array{tests: list<string>, looks: list<string>}>, first: list<array{test: string, outcome: string, blocks: list<string>, when: array{claim: string, at_least: float|int}}>, schools: array<string, non-empty-list<string>>, schools_by_kind: array<string, array<string, string>>, several: array{tests: array<string, Several>}} $house */
        $house = self::decode('house-rules.json');

        $specs = Table::derived('vocabulary', static function () use ($open, $house): array {
            $onlyFor = $house['only_for'];
            $tests = [];
            foreach ($open['tests'] as $test) {
                $outcomes = 'number' === $test['outcomes'] ? null : $test['outcomes'];
                $tests[$test['id']] = [$test['id'], $test['stage'], $test['minutes'], $outcomes, array_values(array_unique([...$test['after'], ...self::looksBefore($test['id'], $house['after'])])), self::excludes($outcomes ?? [], $house['several']['tests'][$test['id']] ?? null)];
                if (isset($test['kinds']) || isset($test['cycles'])) {
                    $onlyFor[] = ['tests' => [$test['id']]] + array_intersect_key($test, ['kinds' => true, 'cycles' => true]);
                }
            }

            return ['tests' => $tests, 'only_for' => self::byTest($onlyFor)];
        });
        $tests = array_map(static fn (array $spec): TestDefinition => new TestDefinition(...$spec), $specs['tests']);
        $acts = [];
        foreach ($open['acts'] as $act) {
            $shows = $house['act_shows'][$act['id']] ?? [];
            $acts[$act['id']] = new ActDefinition(
                $act['id'],
                $act['thing'],
                $act['state'],
                $act['voids'],
                $act['puts_right'],
                $act['measured'],
                isset($act['kinds']) ? array_map(MachineKind::from(...), $act['kinds']) : null,
                array_map(Finding::observed(...), array_keys($shows), array_values($shows)),
            );
        }

        $holds = [...$open['holds'], ...$house['holds']];
        // In the order in which one is dealt with before the other.
        $order = array_flip(array_keys($house['ways_out']));
        usort($holds, static fn (array $one, array $other): int => $order[$one['id']] <=> $order[$other['id']]);

        return new self(
            $tests,
            $acts,
            array_column($open['faults'], 'name', 'id'),
            array_map(static fn (array $hold): HoldDefinition => new HoldDefinition(
                $hold['id'],
                $hold['when_any'],
                $hold['blocks'],
                $hold['until_put_right_any'] ?? [],
                $hold['until_new_finding'] ?? null,
                isset($hold['kinds']) ? array_map(MachineKind::from(...), $hold['kinds']) : null,
                $house['ways_out'][$hold['id']] ?? throw new \LogicException('Every hold has a way out.'),
                \in_array($hold['id'], $house['mended_in_hand'], true),
            ), $holds),
            array_map(static fn (array $rule): Prerequisite => new Prerequisite(
                $rule['test'],
                $rule['outcome'],
                $rule['blocks'],
                $rule['when']['claim'],
                $rule['when']['at_least'],
            ), $house['first']),
            $house['numbers'],
            $specs['only_for'],
            $house['schools'],
            $house['schools_by_kind'],
        );
    }

    /**
     * @param list<string> $outcomes
     * @param Several|null $rule
     *
     * @return array<string, list<string>>|null by outcome, those it does not stand beside
     */
    private static function excludes(array $outcomes, ?array $rule): ?array
    {
        if (null === $rule) {
            return null;
        }
        $excludes = [];
        foreach ($outcomes as $outcome) {
            $others = array_values(array_diff($outcomes, [$outcome]));
            $excludes[$outcome] = array_values(array_filter($others, static fn (string $other): bool => [] !== array_intersect([$outcome, $other], $rule['alone'])
                || \in_array([$outcome, $other], $rule['not_both'], true) || \in_array([$other, $outcome], $rule['not_both'], true)));
        }

        return $excludes;
    }

    /** @return array{float, float} the least and the most a test that takes a number may show, in its unit */
    public function bounds(TestDefinition $test): array
    {
        $bounds = $this->numbers[$test->id];

        return [(float) $bounds['least'], (float) $bounds['most']];
    }

    /** @throws UnknownWord */
    public function test(string $id): TestDefinition
    {
        return $this->tests[$id] ?? throw UnknownWord::test($id);
    }

    /** @throws UnknownWord */
    public function act(string $id): ActDefinition
    {
        return $this->acts[$id] ?? throw UnknownWord::act($id);
    }

    /** Whether the machine can have the thing the act is done to. */
    public function canBeDone(ActDefinition $act, MachineFacts $machine): bool
    {
        return null === $act->kinds || \in_array($machine->kind, $act->kinds, true);
    }

    /**
     * @throws UnknownWord      when a word of the finding is none of ours
     * @throws ImpossibleAmount when its number is outside what the test can read
     */
    public function check(Finding $finding): void
    {
        $test = $this->test($finding->test);
        if (null === $test->outcomes) {
            $number = $finding->number ?? throw UnknownWord::answerWanted($test);
            ImpossibleAmount::unlessBetween($number, ...[...$this->bounds($test), $this->numbers[$test->id]['unit']]);

            return;
        }
        if ([] === $finding->outcomes) {
            throw UnknownWord::answerWanted($test);
        }
        foreach ($finding->outcomes as $outcome) {
            if (!\in_array($outcome, $test->outcomes, true)) {
                throw UnknownWord::outcome($test->id, $outcome, $test->outcomes);
            }
        }
    }

    /** @throws UnknownWord */
    public function checkFault(string $fault): void
    {
        if (!isset($this->faults[$fault])) {
            throw UnknownWord::fault($fault);
        }
    }

    /**
     * A question the shed does not know is another tool's business and passes.
     *
     * @throws UnknownWord
     */
    public function checkSchool(string $question, string $school): void
    {
        $allowed = $this->schools[$question] ?? [$school];
        if (!\in_array($school, $allowed, true)) {
            throw UnknownWord::school($question, $school, $allowed);
        }
    }

    /**
     * The school of every question: the one chosen, else what is usual for its kind, else the default.
     *
     * @param array<string, string> $chosen question => school
     * @param MachineKind|null      $kind   null where the question is no machine's
     *
     * @return array<string, string>
     */
    public function followed(array $chosen, ?MachineKind $kind = null): array
    {
        return $chosen + (null === $kind ? [] : $this->schoolsByKind[$kind->value] ?? []) + array_map(static fn (array $schools): string => $schools[0], $this->schools);
    }

    /** Whether the machine can have what the test looks at; what it cannot have counts as passed. */
    public function applies(string $test, MachineFacts $machine): bool
    {
        foreach ($this->onlyFor[$test] ?? [] as $rule) {
            if (!\in_array($machine->kind->value, $rule['kinds'] ?? [$machine->kind->value], true)
                || !\in_array($machine->cycle->value, $rule['cycles'] ?? [$machine->cycle->value], true)
                || (isset($rule['electric_start']) && false === $machine->electricStart)
                || (isset($rule['cylinders']) && $machine->cylinders !== $rule['cylinders'])
                || (isset($rule['chokes'], $machine->choke) && !\in_array($machine->choke->value, $rule['chokes'], true))
                || (isset($rule['feed']) && $machine->usualFeed()->value !== $rule['feed'])) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param list<array{tests: list<string>, looks: list<string>}> $rules
     *
     * @return list<string> looks the house wants made before a test, beside the vocabulary's own
     */
    private static function looksBefore(string $test, array $rules): array
    {
        $looks = [];
        foreach ($rules as $rule) {
            if (TestPattern::matchesAny($rule['tests'], $test)) {
                $looks = [...$looks, ...$rule['looks']];
            }
        }

        return $looks;
    }

    /**
     * @param list<OnlyFor> $rules
     *
     * @return array<string, non-empty-list<OnlyFor>>
     */
    private static function byTest(array $rules): array
    {
        $byTest = [];
        foreach ($rules as $rule) {
            foreach ($rule['tests'] as $test) {
                $byTest[$test][] = $rule;
            }
        }

        return $byTest;
    }

    private static function decode(string $file): mixed
    {
        return Table::read(__DIR__.'/data/'.$file);
    }
}
