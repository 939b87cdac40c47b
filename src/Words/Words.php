<?php

declare(strict_types=1);

namespace AwakeShed\App\Words;

use AwakeShed\App\Unit\ActFigures;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Gate\Blocker;
use AwakeShed\Core\Gate\BlockerKind;
use AwakeShed\Core\Progress\Ask;
use AwakeShed\Core\Proving\Attempt;
use AwakeShed\Core\Refusal;
use Symfony\Component\DependencyInjection\Attribute\AutowireServiceClosure;

/** Puts the core's ids and refusals into the reader's words (translations/trade.*, translations/refusals.*). */
final readonly class Words
{
    /** @param \Closure(): Vocabulary $vocabulary asked for by some words only */
    public function __construct(
        private Catalogue $catalogue,
        #[AutowireServiceClosure(Vocabulary::class)]
        private \Closure $vocabulary,
        private ActFigures $figures,
    ) {
    }

    /** @param list<\BackedEnum> $known */
    public function notKnown(string $word, array $known): string
    {
        return $this->catalogue->say('“%word%” is not known here. It is one of %known%.', ['%word%' => mb_substr($word, 0, 60), '%known%' => implode(', ', array_column($known, 'value'))]);
    }

    /** Within a sentence: the first letter small, unless it belongs to a name such as E10 or SAE. */
    public static function inLine(string $words): string
    {
        return 1 === preg_match('/^\p{Lu}[\p{Lu}\d]/u', $words) ? $words : mb_strtolower(mb_substr($words, 0, 1)).mb_substr($words, 1);
    }

    public function test(string $id): string
    {
        return $this->catalogue->say('test.'.$id, [], 'trade');
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
        return $this->catalogue->say($part.'.'.$fault, [], 'faults');
    }

    public function outcome(string $test, string $outcome): string
    {
        return $this->trade('outcome.'.$test.'.'.$outcome) ?? $this->catalogue->say('outcome.'.$outcome, [], 'trade');
    }

    /** What a recording is called: what the stand-in played, or as its file was named. */
    public function recording(string $name): string
    {
        return $this->trade('outcome.scenario.'.$name) ?? $name;
    }

    /** @return list<string> outcome ids of a test, in the vocabulary's order; none when its outcome is a number */
    public function outcomesOf(string $test): array
    {
        return ($this->vocabulary)()->test($test)->outcomes ?? [];
    }

    /** Whether more than one answer of a test may hold at once. */
    public function takesSeveral(string $test): bool
    {
        return ($this->vocabulary)()->test($test)->takesSeveral();
    }

    public function fault(string $id): string
    {
        return $this->catalogue->say('fault.'.$id, [], 'trade');
    }

    /** A finding in two or three words, as it is said across the bench; null where nothing is written. */
    public function short(Finding $finding): ?string
    {
        $said = array_filter(array_map(fn (string $outcome): ?string => $this->trade('short.'.$finding->test.'.'.$outcome), $finding->outcomes), is_string(...));

        return [] === $said ? null : implode(', ', $said);
    }

    /** A side of the engine. */
    public function side(string $side): string
    {
        return $this->trade('side.'.$side) ?? Catalogue::spelledOut($side);
    }

    /** A part that has to come off before another can be reached. */
    public function part(string $part): string
    {
        return $this->trade('part.'.$part) ?? Catalogue::spelledOut($part);
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

        return $this->catalogue->say($word).', '.$this->catalogue->say('%percent% %', ['%percent%' => self::percent($probability)]);
    }

    /** The figure of a probability, in whole per cent; rough odds never make a certainty. */
    public static function percent(float $probability): string
    {
        return $probability > 0.99 ? '> 99' : (string) round(100 * $probability);
    }

    /** Why a hold closes what it closes, in a sentence. */
    public function hold(string $id): string
    {
        return $this->trade('hold.'.$id) ?? Catalogue::spelledOut($id);
    }

    /** What a finding or a cure says, e.g. "Oil level: far over the mark". */
    public function event(Finding|PutRight|Done $event): string
    {
        if ($event instanceof PutRight) {
            return $this->catalogue->say('Put right: %fault%', ['%fault%' => $this->fault($event->fault)]);
        }

        if ($event instanceof Done) {
            $figures = array_filter($event->measured, is_numeric(...));
            $said = array_map(fn (string $figure, mixed $value): string => $this->figure($figure, (float) $value), array_keys($figures), $figures);

            return $this->deed($event->act->id).([] === $said ? '' : ': '.implode(', ', $said));
        }

        return $this->test($event->test).': '.$this->withFigures($event);
    }

    /** What a finding says and what was counted at it, without naming its test. */
    public function withFigures(Finding $finding): string
    {
        $attempt = Attempt::fromFinding($finding);

        return $this->saying($finding).(null === $attempt ? '' : $this->counted($attempt));
    }

    /** A figure of an act or a start with what it counts, e.g. "2 pulls". */
    public function figure(string $figure, float $value): string
    {
        $counts = (1.0 === $value ? $this->catalogue->find('figure_one.'.$figure, 'steps') : null) ?? $this->catalogue->find('figure.'.$figure, 'steps') ?? '';

        return trim($this->figures->show($figure, $value).' '.$counts);
    }

    /** What was counted of a start, e.g. ", 2 pulls, 4 s until it caught". */
    private function counted(Attempt $attempt): string
    {
        $said = array_map($this->figure(...), array_keys($attempt->figures), $attempt->figures);
        if (null !== $attempt->choke) {
            $said[] = $this->catalogue->say('choke %how%', ['%how%' => self::inLine($this->catalogue->find('choke.'.$attempt->choke->value, 'steps') ?? $attempt->choke->value)]);
        }

        return implode('', array_map(static fn (string $one): string => ', '.$one, $said));
    }

    /** An act of the vocabulary, as something that was done. */
    public function deed(string $act): string
    {
        return $this->trade('act.'.$act) ?? Catalogue::spelledOut($act);
    }

    /** What was made of a thing, in a word or two, e.g. "cleaned". */
    public function made(string $state): string
    {
        return $this->trade('state.'.$state) ?? Catalogue::spelledOut($state);
    }

    /** @param array<string, string> $things with what was made of them */
    public function things(array $things): string
    {
        return implode(', ', array_map(fn (string $thing, string $state): string => ($this->trade('thing.'.$thing) ?? Catalogue::spelledOut($thing)).' '.$this->made($state), array_keys($things), $things));
    }

    /** What is warned of, in a sentence or two. */
    public function caution(string $id): string
    {
        return $this->trade('caution.'.$id) ?? Catalogue::spelledOut($id);
    }

    /** What would bring a machine back, and why. */
    public function ask(Ask $ask): string
    {
        return $this->trade('ask.'.$ask->value) ?? Catalogue::spelledOut($ask->value);
    }

    /** What moves a job on: a test, an act, or a fault to be put right. */
    public function next(string $id): string
    {
        return $this->moves($id) ?? Catalogue::spelledOut($id);
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
            BlockerKind::Look => $this->catalogue->say('First: %look%.', ['%look%' => $this->test($blocker->until)]),
            BlockerKind::LookAgain => $this->catalogue->say('Put right since; look again: %look%.', ['%look%' => $this->test($blocker->until)]),
            BlockerKind::Hold => $this->hold($blocker->until),
            BlockerKind::Act => $this->catalogue->say('First: %look%.', ['%look%' => $this->next($blocker->until)]),
        };
    }

    /** @param list<Blocker> $blockers of a closed test */
    public function closedTest(string $test, array $blockers): string
    {
        return $this->catalogue->say('%test% is closed for now.', ['%test%' => $this->test($test)]).' '
            .implode(' ', array_map($this->blocker(...), $blockers));
    }

    /** What a job waits for: the id of a hold, of a look, or of a step of ours. */
    public function waitsFor(string $id): string
    {
        return $this->trade('waits.'.$id) ?? ('' === $id ? '' : $this->moves($id) ?? $this->hold($id));
    }

    public function refusal(Refusal $refusal): string
    {
        return $this->catalogue->say($refusal->reason(), $refusal->figures(), 'refusals');
    }

    /** @return string|null null where the vocabulary knows nothing by that name */
    private function moves(string $id): ?string
    {
        $vocabulary = ($this->vocabulary)();

        return match (true) {
            isset($vocabulary->tests[$id]) => $this->test($id),
            isset($vocabulary->acts[$id]) => $this->trade('do.'.$id) ?? $this->deed($id),
            isset($vocabulary->faults[$id]) => $this->catalogue->say('Put right: %fault%', ['%fault%' => $this->fault($id)]),
            default => null,
        };
    }

    private function trade(string $key): ?string
    {
        return $this->catalogue->find($key, 'trade');
    }
}
