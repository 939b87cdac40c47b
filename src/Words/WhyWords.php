<?php

declare(strict_types=1);

namespace AwakeShed\App\Words;

use AwakeShed\Core\Diagnosis\Contradiction;
use AwakeShed\Core\Diagnosis\NextTest;
use AwakeShed\Core\Diagnosis\Reason;
use AwakeShed\Core\Diagnosis\Split;
use AwakeShed\Core\Diagnosis\Suspect;
use AwakeShed\Core\Evidence\Finding;

/** Says what the evidence comes to as one technician would to another. */
final readonly class WhyWords
{
    /** So many findings carry a suspicion in a sentence; what moves it by less than a fifth is left out. */
    private const REASONS = 3;
    private const LEAST_TIMES = 1.2;

    /** Rough odds bear no larger numbers. */
    private const MOST_TIMES = 100;

    public function __construct(private Catalogue $catalogue, private Words $words)
    {
    }

    /** Why a fault is believed, or not: the findings that carry it, and how much. */
    public function suspect(Suspect $suspect): string
    {
        if ($suspect->isSeen) {
            $shown = array_values(array_filter($suspect->because, static fn (Reason $reason): bool => $reason->logOdds > 0));

            return [] === $shown
                ? $this->catalogue->say('It was looked at: that is the fault itself.')
                : $this->catalogue->say('Seen: %finding%. That is the fault itself.', ['%finding%' => $this->reason($shown[0])]);
        }
        $telling = \array_slice(array_filter($suspect->because, static fn (Reason $reason): bool => abs($reason->logOdds) >= log(self::LEAST_TIMES)), 0, self::REASONS);
        if ([] === $telling) {
            return $this->catalogue->say(match (true) {
                $suspect->isFound() => 'It often comes with what was found.',
                $suspect->isLookedAt => 'What was found hardly moves it.',
                default => 'By its story; nothing found speaks of it yet.',
            });
        }
        $sentences = [];
        foreach (['For it: %reasons%.' => true, 'Against it: %reasons%.' => false] as $text => $isFor) {
            $reasons = array_map(
                fn (Reason $reason): string => $this->catalogue->say('%finding% (%times%)', ['%finding%' => $this->reason($reason), '%times%' => $this->times($reason->logOdds)]),
                array_filter($telling, static fn (Reason $reason): bool => $isFor === $reason->logOdds > 0),
            );
            if ([] !== $reasons) {
                $sentences[] = $this->catalogue->say($text, ['%reasons%' => implode('; ', $reasons)]);
            }
        }

        return implode(' ', $sentences);
    }

    /** On which side of the engine it lies, in a sentence; null as long as nothing says that it does not run. */
    public function split(Split $split): ?string
    {
        if ([] === $split->facts) {
            return null;
        }
        $facts = ucfirst(implode(', ', array_map($this->fact(...), $split->facts)));
        $named = array_map(fn (string $side): string => $this->catalogue->say('the %side% side (%percent% %)', [
            '%side%' => $this->words->side($side), '%percent%' => Words::percent($split->sides[$side]),
        ]), $split->named());

        return [] === $named
            ? $this->catalogue->say('%facts%: nothing points to one side yet.', ['%facts%' => $facts])
            : $this->catalogue->say('%facts%: it is on %sides%.', ['%facts%' => $facts, '%sides%' => implode($this->catalogue->say(' or '), $named)]);
    }

    /** What was found that speaks against a claim. */
    public function against(Contradiction $contradiction): string
    {
        return implode(', ', array_map(fn (Finding $finding): string => Words::inLine($this->words->event($finding)), array_values($contradiction->against)));
    }

    /** What a test is for. */
    public function test(NextTest $next): string
    {
        return match (true) {
            null !== $next->opens => $this->catalogue->say('It opens: %test%.', ['%test%' => Words::inLine($this->words->test($next->opens))]),
            [] !== $next->tells => $this->catalogue->say('Tells most of: %faults%.', ['%faults%' => implode(', ', array_map(fn (string $fault): string => Words::inLine($this->words->fault($fault)), $next->tells))]),
            default => '',
        };
    }

    /** What has to come off before a test can be made; empty where nothing does. */
    public function wayIn(NextTest $next): string
    {
        return [] === $next->parts ? '' : $this->catalogue->say('Off come: %parts%.', ['%parts%' => implode(', ', array_map($this->words->part(...), $next->parts))]);
    }

    private function fact(Finding $finding): string
    {
        return $this->words->short($finding) ?? Words::inLine($this->words->event($finding));
    }

    private function reason(Reason $reason): string
    {
        return Words::inLine($this->words->test($reason->test)).', '.Words::inLine($this->words->outcome($reason->test, $reason->outcome));
    }

    private function times(float $logOdds): string
    {
        $times = exp(abs($logOdds));
        $said = $times > self::MOST_TIMES ? $this->catalogue->say('over %number%', ['%number%' => (string) self::MOST_TIMES]) : (string) round($times);

        return match (true) {
            $times < 2 => $this->catalogue->say($logOdds > 0 ? 'a little likelier' : 'a little less likely'),
            default => $this->catalogue->say($logOdds > 0 ? '%times% times likelier' : '%times% times less likely', ['%times%' => $said]),
        };
    }
}
