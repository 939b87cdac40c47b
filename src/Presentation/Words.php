<?php

declare(strict_types=1);

namespace AwakeShed\App\Presentation;

use AwakeShed\Core\Carburetor\Move;
use AwakeShed\Core\Carburetor\Part;
use AwakeShed\Core\Carburetor\PartKind;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Gate\Blocker;
use AwakeShed\Core\Gate\BlockerKind;
use AwakeShed\Core\Progress\Ask;
use AwakeShed\Core\Refusal;
use AwakeShed\Core\Stage\Act;
use AwakeShed\Core\Stage\StagePlan;
use AwakeShed\Core\Stage\Step;
use AwakeShed\Core\Stage\StepState;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Translation\TranslatorBagInterface;
use Symfony\Contracts\Translation\TranslatorInterface;

/** Puts the core's ids and refusals into the reader's words (translations/trade.*, translations/refusals.*). */
final readonly class Words
{
    public function __construct(#[Autowire(service: 'translator')] private TranslatorInterface&TranslatorBagInterface $translator, private Vocabulary $vocabulary, private StagePlan $work, private ActFigures $figures, private Dates $dates)
    {
    }

    public function test(string $id): string
    {
        return $this->trade('test.'.$id) ?? self::spelledOut($id);
    }

    /** How the test is made, in a sentence; null where nothing is written yet. */
    public function how(string $test): ?string
    {
        return $this->trade('how.'.$test);
    }

    /** What to lay ready for a test; null where it takes only eyes. */
    public function tools(string $test): ?string
    {
        return $this->trade('tool.'.$test);
    }

    /** @param 'what'|'looks'|'cure' $part of what is known of a fault */
    public function knows(string $part, string $fault): string
    {
        return $this->translator->trans($part.'.'.$fault, [], 'faults');
    }

    public function outcome(string $test, string $outcome): string
    {
        return $this->trade('outcome.'.$test.'.'.$outcome) ?? $this->trade('outcome.'.$outcome) ?? ucfirst(str_replace('_', ' ', $outcome));
    }

    /** @return list<string> outcome ids of a test, in the vocabulary's order; none when its outcome is a number */
    public function outcomesOf(string $test): array
    {
        return $this->vocabulary->test($test)->outcomes ?? [];
    }

    public function fault(string $id): string
    {
        return $this->trade('fault.'.$id) ?? $this->vocabulary->faults[$id] ?? self::spelledOut($id);
    }

    /** A probability as people say it, with its per cent. */
    public function chance(float $probability): string
    {
        $word = match (true) {
            $probability >= 0.9 => 'almost certain',
            $probability >= 0.65 => 'likely',
            $probability >= 0.35 => 'may well be',
            $probability >= 0.15 => 'possible',
            default => 'unlikely',
        };

        // Rough odds never make a certainty.
        return $this->translator->trans($word).', '.$this->translator->trans('%percent% %', ['%percent%' => $probability > 0.99 ? '> 99' : (string) round(100 * $probability)]);
    }

    /** Why a hold closes what it closes, in a sentence. */
    public function hold(string $id): string
    {
        return $this->trade('hold.'.$id) ?? self::spelledOut($id);
    }

    /** What a finding or a cure says, e.g. "Oil level: far over the mark". */
    public function event(Finding|PutRight|Done $event): string
    {
        if ($event instanceof PutRight) {
            return $this->translator->trans('Put right: %fault%', ['%fault%' => $this->fault($event->fault)]);
        }

        if ($event instanceof Done) {
            $figures = array_filter($event->measured, is_numeric(...));
            $said = array_map(fn (string $figure, mixed $value): string => trim($this->figures->show($figure, (float) $value).' '.($this->stepWord('figure.'.$figure) ?? '')), array_keys($figures), $figures);

            return $this->deed($event->act->id).([] === $said ? '' : ': '.implode(', ', $said));
        }

        return $this->test($event->test).': '.$this->saying($event);
    }

    /** An act of the vocabulary, as something that was done. */
    public function deed(string $act): string
    {
        return $this->trade('act.'.$act) ?? self::spelledOut($act);
    }

    /** What was made of a thing, in a word or two, e.g. "cleaned". */
    public function made(string $state): string
    {
        return $this->trade('state.'.$state) ?? self::spelledOut($state);
    }

    /** @param array<string, string> $things with what was made of them */
    public function things(array $things): string
    {
        return implode(', ', array_map(fn (string $thing, string $state): string => ($this->trade('thing.'.$thing) ?? self::spelledOut($thing)).' '.$this->made($state), array_keys($things), $things));
    }

    /** What is warned of, in a sentence or two. */
    public function caution(string $id): string
    {
        return $this->trade('caution.'.$id) ?? self::spelledOut($id);
    }

    /** What would bring a machine back, and why. */
    public function ask(Ask $ask): string
    {
        return $this->trade('ask.'.$ask->value) ?? self::spelledOut($ask->value);
    }

    /** What moves a job on: a test, an act, or a fault to be put right. */
    public function next(string $id): string
    {
        return match (true) {
            isset($this->vocabulary->tests[$id]) => $this->test($id),
            isset($this->vocabulary->acts[$id]) => $this->trade('do.'.$id) ?? $this->deed($id),
            isset($this->vocabulary->faults[$id]) => $this->translator->trans('Put right: %fault%', ['%fault%' => $this->fault($id)]),
            default => self::spelledOut($id),
        };
    }

    /** What a finding says, without naming its test. */
    public function saying(Finding $finding): string
    {
        if (null !== $finding->number) {
            return trim(rtrim(rtrim(number_format($finding->number, 2, '.', ''), '0'), '.').' '.($this->trade('unit.'.$finding->test) ?? ''));
        }

        return implode(', ', array_map(fn (string $outcome): string => $this->outcome($finding->test, $outcome), $finding->outcomes));
    }

    /** What opens a closed test, in a sentence. */
    public function blocker(Blocker $blocker): string
    {
        return match ($blocker->kind) {
            BlockerKind::Look => $this->translator->trans('First: %look%.', ['%look%' => $this->test($blocker->until)]),
            BlockerKind::LookAgain => $this->translator->trans('Put right since; look again: %look%.', ['%look%' => $this->test($blocker->until)]),
            BlockerKind::Hold => $this->hold($blocker->until),
            BlockerKind::Act => $this->translator->trans('First: %look%.', ['%look%' => $this->next($blocker->until)]),
        };
    }

    /** @param list<Blocker> $blockers of a closed test */
    public function closedTest(string $test, array $blockers): string
    {
        return $this->translator->trans('%test% is closed for now.', ['%test%' => $this->test($test)]).' '
            .implode(' ', array_map($this->blocker(...), $blockers));
    }

    /** A step of a stage, by its own name or its test's or its cure's. */
    public function step(Step $step): string
    {
        return $this->stepWord('step.'.$step->id) ?? match (true) {
            null !== $step->test => $this->test($step->test),
            null !== $step->cure => $this->translator->trans('Put right: %fault%', ['%fault%' => $this->fault($step->cure)]),
            default => self::spelledOut($step->id),
        };
    }

    private function stepNamed(string $id): string
    {
        return $this->step($this->work->step($id));
    }

    /** How it is done, in a sentence or two; null where its test says it. */
    public function doing(Step $step): ?string
    {
        return $this->stepWord('do.'.$step->id);
    }

    /** What a figure of an act is asked by. */
    /** The label of an act's field, with the unit a plain number is meant in. */
    public function field(string $field): string
    {
        $unit = $this->figures->unit($field);

        return ($this->stepWord('field.'.$field) ?? self::spelledOut($field)).(null === $unit ? '' : ', '.$unit);
    }

    /** What was done, e.g. "Oil drained: 900 mL". */
    public function act(Act $act): string
    {
        $said = array_map(fn (string $field, float $value): string => trim($this->figures->show($field, $value).' '.($this->stepWord('figure.'.$field) ?? '')), array_keys($act->figures), $act->figures);
        if (null !== $act->choice) {
            $said[] = $this->choice($act->step, $act->choice);
        }

        return $this->stepNamed($act->step).([] === $said ? '' : ': '.implode(', ', $said));
    }

    /** A word of the carburetor bench: of a part, passage, hole, method, … */
    public function strip(string $group, string $id): string
    {
        return $this->translator->getCatalogue()->has("$group.$id", 'strip') ? $this->translator->trans("$group.$id", [], 'strip') : self::spelledOut($id);
    }

    /**
     * @param list<\BackedEnum> $cases
     *
     * @return array<string, string> value => its word
     */
    public function stripAll(string $group, array $cases): array
    {
        $values = array_map(static fn (\BackedEnum $case): string => (string) $case->value, $cases);

        return array_combine($values, array_map(fn (string $value): string => $this->strip($group, $value), $values));
    }

    /** A part on the mat by its name, its own or its kind's. */
    public function part(Part $part): string
    {
        return '' !== $part->name ? $part->name : $this->strip('part', (string) $part->kind);
    }

    public function partKind(PartKind $kind): string
    {
        return '' !== $kind->name ? $kind->name : $this->strip('part', $kind->id);
    }

    /** What was done at the carburetor bench, e.g. "Off: bowl (place 9)". */
    public function move(Move $move): string
    {
        $said = [];
        foreach ($move->said() as $field => $value) {
            $said[] = match ($field) {
                'name', 'orientation', 'hole', 'turns', 'bore', 'size', 'holes' => \in_array($field, ['name', 'holes'], true) ? $value : $this->strip('note', $field).' '.$value,
                'template', 'reason' => $value,
                'exit' => $this->strip('port', $value),
                'kind' => $this->strip('part', $value),
                default => $this->strip($field, $value),
            };
        }
        $place = null === $move->place() ? '' : ' '.$this->translator->trans('(place %place%)', ['%place%' => $move->place()]);

        return $this->strip('move', $move->kind()->value).([] === $said ? '' : ': '.implode(', ', $said)).$place;
    }

    public function choice(string $step, string $choice): string
    {
        return $this->stepWord('choice.'.$step.'.'.$choice) ?? $this->stepWord('choice.'.$choice) ?? self::spelledOut($choice);
    }

    public function closedStep(StepState $state): string
    {
        return $this->translator->trans('%test% is closed for now.', ['%test%' => $this->step($state->step)]).' '.$this->shut($state);
    }

    /** What opens a closed step, in sentences. */
    public function shut(StepState $state): string
    {
        $first = array_map(fn (string $step): string => $this->translator->trans('First: %look%.', ['%look%' => $this->stepNamed($step)]), $state->first);

        return implode(' ', [...$first, ...array_map($this->blocker(...), $state->blockers)]);
    }

    /** Why a machine does not go home yet. */
    public function closing(string $why): string
    {
        return $this->stepWord('closing.'.$why) ?? self::spelledOut($why);
    }

    /** What a job waits for: the id of a hold, of a look, or of a step of ours. */
    public function waitsFor(string $id): string
    {
        return $this->trade('waits.'.$id) ?? match (true) {
            '' === $id => '',
            isset($this->vocabulary->tests[$id]), isset($this->vocabulary->acts[$id]), isset($this->vocabulary->faults[$id]) => $this->next($id),
            default => $this->hold($id),
        };
    }

    /** A line of a job's sheet, e.g. "Oil it holds, mL". */
    public function sheet(string $key): string
    {
        return $this->trade('sheet.'.$key) ?? self::spelledOut($key);
    }

    /** What stands on such a line; a dash where nothing does. */
    public function sheetValue(string $key, mixed $value): string
    {
        return match (true) {
            \is_array($value) => implode(', ', array_map(fn (mixed $school): string => $this->sheetValue('school', $school), $value)),
            \is_bool($value) => $this->translator->trans($value ? 'yes' : 'no'),
            'handed_back_at' === $key && \is_string($value) => $this->dates->moment(new \DateTimeImmutable($value)),
            'wanted_by' === $key && \is_string($value) => $this->dates->day(new \DateTimeImmutable($value)),
            \is_string($value) && '' !== $value => $this->trade('outcome.'.$key.'.'.$value) ?? $value,
            is_numeric($value) => (string) $value,
            default => '–',
        };
    }

    public function refusal(Refusal $refusal): string
    {
        return $this->translator->trans($refusal->reason(), $refusal->figures(), 'refusals');
    }

    private function stepWord(string $key): ?string
    {
        return $this->translator->getCatalogue()->has($key, 'steps') ? $this->translator->trans($key, [], 'steps') : null;
    }

    private function trade(string $key): ?string
    {
        return $this->translator->getCatalogue()->has($key, 'trade') ? $this->translator->trans($key, [], 'trade') : null;
    }

    private static function spelledOut(string $id): string
    {
        return ucfirst(str_replace(['_', '.'], [' ', ': '], $id));
    }
}
