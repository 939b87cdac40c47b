<?php

declare(strict_types=1);

namespace AwakeShed\App\Diagnosis;

use AwakeShed\App\Words\Words;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\Shorthand;
use AwakeShed\Core\Evidence\TradeWords;
use AwakeShed\Core\Evidence\Vocabulary;

/** All that can be said of a machine, in the reader's words and the vocabulary's own, for the shorthand. */
final readonly class Lexicon
{
    public function __construct(private Vocabulary $vocabulary, private Words $words, private TradeWords $trade)
    {
    }

    public function forMachine(MachineFacts $machine): Shorthand
    {
        $lexicon = [];
        foreach ($this->vocabulary->tests as $test) {
            if (!$this->vocabulary->applies($test->id, $machine)) {
                continue;
            }
            $testWords = Shorthand::words($this->words->test($test->id).' '.$test->id);
            foreach ($test->outcomes ?? [null] as $outcome) {
                $lexicon[] = [
                    'test' => $test->id,
                    'outcome' => $outcome,
                    'testWords' => $testWords,
                    'outcomeWords' => null === $outcome ? [] : Shorthand::words($this->words->outcome($test->id, $outcome).' '.$outcome),
                ];
            }
        }

        foreach ($this->vocabulary->acts as $act) {
            if ($this->vocabulary->canBeDone($act, $machine)) {
                $lexicon[] = ['test' => $act->id, 'outcome' => null, 'testWords' => Shorthand::words($this->words->deed($act->id).' '.$act->id), 'outcomeWords' => [], 'act' => $act];
            }
        }

        return new Shorthand($lexicon, $this->trade);
    }
}
