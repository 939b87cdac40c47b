<?php

declare(strict_types=1);

namespace AwakeShed\Core\Stage;

use AwakeShed\Core\Evidence\CaseFile;

/**
 * One step of a stage (data/stages.json): a test, a cure, a note, or an act with figures or a choice.
 *
 * @phpstan-type When array<string, list<string>>
 */
final readonly class Step
{
    /**
     * @param array<string, array{float|int, float|int}>|null $fields       least and most by field; null where the step is no act with figures
     * @param list<string>                                    $choices
     * @param bool                                            $repeats      it is done several times, each counted
     * @param bool                                            $isAgain      the test is made once more after what the step comes after
     * @param When|null                                       $when         any of these must stand; null: always asked
     * @param list<array{step: string, when?: When}>          $after
     * @param string|null                                     $as           the test whose gates it must pass
     * @param array{kind: string, minutes: int}|null          $wait
     * @param bool                                            $takesOil     fresh oil goes in, by its `ml`
     * @param list<string>|null                               $wants        the outcomes its test is done with; null: any
     * @param list<When>                                      $needs        one of each must stand before it is open
     * @param array<string, string>                           $does         the act of the vocabulary that it is, by its choice; under '' where it has none
     * @param When                                            $unless       any of these standing, it is not asked
     * @param list<string>                                    $unlessDone   acts after which it is not asked
     * @param list<string>                                    $notFor       kinds of machines it is not asked of
     * @param list<string>                                    $onlyFor      kinds of machines it is asked of; empty: all
     * @param bool                                            $isAnew       what was done of it elsewhere, before, does not count
     * @param array<string, list<string>>                     $unlessChoice choices of other steps, said last, after which it is not asked
     * @param array<string, list<string>>                     $schools      question => the schools under which it is asked
     */
    public function __construct(
        public string $id,
        public ?string $test,
        public ?string $cure,
        public bool $isNote,
        public ?array $fields,
        public array $choices,
        public bool $repeats,
        public bool $isAgain,
        public ?array $when,
        public array $after,
        public ?string $as,
        public ?array $wait,
        public ?string $waste,
        public array $schools,
        public ?string $calc,
        public bool $takesOil,
        public ?array $wants,
        public array $needs,
        public array $does,
        private array $unless,
        private array $unlessDone,
        private array $notFor,
        private array $onlyFor,
        public bool $isAnew,
        private array $unlessChoice,
    ) {
    }

    /** @param array<string, string> $schools that the job follows, with the defaults for what it does not say */
    public function isAsked(CaseFile $case, array $schools): bool
    {
        foreach ($this->schools as $question => $allowed) {
            if (!\in_array($schools[$question] ?? '', $allowed, true)) {
                return false;
            }
        }

        return $this->isCalledFor($case);
    }

    /** Whether anything of this machine calls for it, whatever the school. */
    public function isCalledFor(CaseFile $case): bool
    {
        $kind = $case->machine->kind->value;
        if (\in_array($kind, $this->notFor, true) || ([] !== $this->onlyFor && !\in_array($kind, $this->onlyFor, true)) || $case->says($this->unless) || $case->state->was(...$this->unlessDone)) {
            return false;
        }

        return null === $this->when || $case->everSaid($this->when);
    }

    /** @param list<Act> $acts in the order they were done */
    public function isSpared(array $acts): bool
    {
        $last = [];
        foreach ($acts as $act) {
            $last[$act->step] = $act->choice;
        }
        foreach ($this->unlessChoice as $step => $choices) {
            if (\in_array($last[$step] ?? null, $choices, true)) {
                return true;
            }
        }

        return false;
    }

    /** The test whose gates it must pass; null for none. */
    public function gated(): ?string
    {
        return $this->as ?? $this->test;
    }

    public function isAct(): bool
    {
        return null !== $this->fields || [] !== $this->choices;
    }

    /** @throws ImpossibleAct when a figure is missing or outside its bounds, or the choice is none of the step's */
    public function check(Act $act): void
    {
        if (!$this->isAct()) {
            throw ImpossibleAct::notAnAct($this->id);
        }
        foreach ($this->fields ?? [] as $field => [$least, $most]) {
            $value = $act->figures[$field] ?? throw ImpossibleAct::missing($this->id, $field);
            if (!($value >= $least && $value <= $most)) {
                throw ImpossibleAct::outside($this->id, $field, $value, $least, $most);
            }
        }
        if (([] === $this->choices) !== (null === $act->choice) || (null !== $act->choice && !\in_array($act->choice, $this->choices, true))) {
            throw ImpossibleAct::noSuchChoice($this->id, $act->choice ?? '');
        }
    }
}
