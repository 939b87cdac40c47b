<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\TestPattern;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Table;

/**
 * Whether a test makes sense as the machine stands: it can be made, and what is known does not answer it (data/sense.json).
 *
 * @phpstan-type Rule array{tests: list<string>, needs?: array<string, list<string>>, unless?: array<string, list<string>>, needs_act?: list<string>, unless_state?: array<string, list<string>>, unless_cured?: list<string>, starter_usual_on?: list<string>, when?: array<string, list<string>>, when_shut?: string}
 */
final readonly class Sense
{
    /** States after which nobody looks again at what was changed: it is new, clean or gone. */
    private const ANSWERS = ['renewed', 'replaced', 'drained', 'cleaned', 'flushed', 'dried', 'tapped'];
    private const FRESH_FUEL = 'tank.filled';

    /** @param array<string, non-empty-list<Rule>> $rules by test */
    private function __construct(private array $rules)
    {
    }

    public static function shipped(Vocabulary $vocabulary): self
    {
        return new self(Table::derived('sense', static function () use ($vocabulary): array {
            /** @var array{rules: list<Rule>} $data */
            $data = Table::read(__DIR__.'/data/sense.json');
            $rules = [];
            foreach ($data['rules'] as $rule) {
                foreach (array_keys($vocabulary->tests) as $test) {
                    if (TestPattern::matchesAny($rule['tests'], $test)) {
                        $rules[$test][] = $rule;
                    }
                }
            }

            return $rules;
        }));
    }

    public function has(string $test, CaseFile $case, AccessFrom $access): bool
    {
        $changed = $case->changedBy($test);
        if (null !== $changed && (\in_array($changed->state, self::ANSWERS, true) || self::FRESH_FUEL === $changed->id)) {
            return false;
        }
        foreach ($this->rules[$test] ?? [] as $rule) {
            if (self::counts($rule, $case, $access) && !self::isMet($rule, $case)) {
                return false;
            }
        }

        return true;
    }

    /** @param Rule $rule */
    private static function counts(array $rule, CaseFile $case, AccessFrom $access): bool
    {
        return (!isset($rule['when']) || self::stands($rule['when'], $case))
            && (!isset($rule['when_shut']) || $access->isShut($rule['when_shut']));
    }

    /** @param Rule $rule */
    private static function isMet(array $rule, CaseFile $case): bool
    {
        foreach ($rule['unless_state'] ?? [] as $thing => $states) {
            if (\in_array($case->state->stateOf($thing), $states, true)) {
                return false;
            }
        }

        return (!isset($rule['needs']) || self::stands($rule['needs'], $case))
            && !self::stands($rule['unless'] ?? [], $case)
            && (!isset($rule['needs_act']) || $case->state->was(...$rule['needs_act']))
            && [] === array_intersect($case->cured(), $rule['unless_cured'] ?? [])
            && (!isset($rule['starter_usual_on']) || true === $case->machine->electricStart || null !== $case->standing('start.electric') || \in_array($case->machine->kind->value, $rule['starter_usual_on'], true));
    }

    /** @param array<string, list<string>> $findings outcomes by test; an empty list for whatever it showed */
    private static function stands(array $findings, CaseFile $case): bool
    {
        foreach ($findings as $test => $outcomes) {
            $finding = $case->standing($test);
            if (null !== $finding && ([] === $outcomes || $finding->saysAnyOf($outcomes))) {
                return true;
            }
        }

        return false;
    }
}
