<?php

declare(strict_types=1);

namespace AwakeShed\App\Diagnosis;

use AwakeShed\App\Words\WhyWords;
use AwakeShed\App\Words\Words;
use AwakeShed\Core\Caution\Cautions;
use AwakeShed\Core\Diagnosis\Assessment;
use AwakeShed\Core\Diagnosis\Contradiction;
use AwakeShed\Core\Diagnosis\NextTest;
use AwakeShed\Core\Diagnosis\Reason;
use AwakeShed\Core\Diagnosis\Suspect;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Fuel\FuelVerdict;
use AwakeShed\Core\Gate\Blocker;
use AwakeShed\Core\Oil\Dilution;
use AwakeShed\Core\Progress\Asks;
use AwakeShed\Core\Progress\JobProgress;
use AwakeShed\Core\Progress\Progression;
use AwakeShed\Core\Progress\RaisedAsk;
use AwakeShed\Core\Progress\Unproved;
use AwakeShed\Core\Refusal;
use AwakeShed\Core\Units\Volume;
use Symfony\Contracts\Translation\TranslatorInterface;

/** Writes an assessment in the open format, "awake-shed/assessment", version 1. */
final readonly class AssessmentFormat
{
    public function __construct(private Words $words, private WhyWords $whyWords, private TranslatorInterface $translator, private Cautions $cautions, private Progression $progression, private Unproved $unproved, private Asks $asks)
    {
    }

    /** @return array<string, mixed> */
    public function write(CaseFile $case, Assessment $assessment): array
    {
        return [
            'format' => 'awake-shed/assessment',
            'version' => 1,
            'faults' => array_map(static fn (Suspect $suspect): array => [
                'id' => $suspect->fault,
                'probability' => round($suspect->probability, 6),
                'beside' => $suspect->isBeside,
                'seen' => $suspect->isSeen,
                'because' => array_map(static fn (Reason $reason): array => ['test' => $reason->test, 'outcome' => $reason->outcome, 'log_odds' => round($reason->logOdds, 3)], $suspect->because),
            ], $assessment->faults),
            'next' => array_map(fn (NextTest $next): array => [
                'test' => $next->test,
                'minutes' => $next->minutes,
                'minutes_here' => round($next->minutesHere, 1),
                'parts_off' => $next->parts,
                'expected_bits' => round($next->bits, 4),
                'why' => trim($this->whyWords->test($next).' '.$this->whyWords->wayIn($next)),
                'cautions' => array_map($this->words->caution(...), $this->cautions->ofTest($next->test)),
            ], $assessment->next),
            'blocked' => array_map(fn (string $test, array $blockers): array => [
                'test' => $test,
                'until' => array_column($blockers, 'until'),
                'why' => implode(' ', array_map(fn (Blocker $blocker): string => $this->words->blocker($blocker), $blockers)),
            ], array_keys($assessment->blocked), $assessment->blocked),
            'contradictions' => array_map(static fn (Contradiction $contradiction): array => [
                'claim' => $contradiction->claim,
                'outcome' => $contradiction->outcome,
                'against' => array_keys($contradiction->against),
                'found' => array_map(static fn (Finding $found): array => ['test' => $found->test, 'outcome' => $found->number ?? (1 === \count($found->outcomes) ? $found->outcomes[0] : $found->outcomes)], array_values($contradiction->against)),
                'probability_claim_true' => round($contradiction->probability, 4),
            ], $assessment->contradictions),
            'split' => array_map(static fn (float $share): float => round($share, 4), $assessment->split->sides),
            'split_says' => $this->whyWords->split($assessment->split),
            'verdicts' => [...$this->oil($case), ...$this->fuel($case)],
            'state' => (object) $case->things(),
            'stand' => $this->stand($this->progression->standOf($case, $assessment)),
            'unproved' => $this->unproved->left($case, $assessment),
            'asks' => array_map(fn (RaisedAsk $raised): array => ['id' => $raised->ask->value, 'why' => $this->words->ask($raised->ask)], $this->asks->raised($case)),
        ];
    }

    /** @return array<string, mixed> */
    private function stand(JobProgress $progress): array
    {
        return ['id' => $progress->progress->value, 'waits_for' => $progress->waitsFor] + (null === $progress->why ? [] : ['why' => $progress->why]);
    }

    /** @return list<array<string, mixed>> */
    private function oil(CaseFile $case): array
    {
        $measured = $case->standing('look.oil_level')->measured ?? [];
        $mark = $case->machine->oilMl;
        if (null === $mark || !is_numeric($measured['drained_ml'] ?? null)) {
            return [];
        }
        try {
            // Of what drained alone, so the least it can have been: the format says nothing of what clung.
            $dilution = Dilution::drained(Volume::millilitres($mark), Volume::millilitres((float) $measured['drained_ml']), Volume::zero(), Volume::millilitres(10));
        } catch (Refusal) {
            // More than any crankcase of ours holds was written down.
            return [];
        }

        return [[
            'id' => 'oil.dilution',
            'value' => round($dilution->fraction, 4),
            'unit' => '1',
            'band' => $dilution->band()->value,
            'text' => $this->words->outcome('dilution_band', $dilution->band()->value),
        ]];
    }

    /** @return list<array<string, mixed>> */
    private function fuel(CaseFile $case): array
    {
        $verdicts = [];
        foreach ($case->jars as $sample => $jar) {
            if ('tank' === $sample && $case->isVoided('jar.tank')) {
                continue;
            }
            $decision = FuelVerdict::onJar($jar, Progression::schoolOf($case))->decision->value;
            $verdicts[] = ['id' => 'fuel.'.$sample, 'value' => $decision, 'unit' => '', 'band' => $decision, 'text' => $this->translator->trans('fuel.'.$decision, [], 'trade')];
        }

        return $verdicts;
    }
}
