<?php

declare(strict_types=1);

namespace AwakeShed\App\TestCard;

use AwakeShed\App\Calc\Calculations;
use AwakeShed\App\Evidence\Record;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Gate\Gatekeeper;
use AwakeShed\Core\Progress\Asks;
use AwakeShed\Core\Progress\RaisedAsk;

/** Lays tests out for the pages of a job. */
final readonly class TestCards
{
    public function __construct(private Vocabulary $vocabulary, private Gatekeeper $gatekeeper, private Calculations $calculations, private Asks $asks)
    {
    }

    /**
     * @param list<string> $tests
     *
     * @return list<TestCard> of those the machine can have
     *
     * @throws \AwakeShed\Core\Evidence\UnknownWord
     */
    public function lay(Record $record, array $tests): array
    {
        $case = $record->case();
        $raised = [...$this->asks->raised($case), ...$this->asks->atTheBench($record->ledger())];
        $past = $record->gonePast($raised);
        $closed = $this->gatekeeper->closed($case, $tests);
        $bearings = [];
        foreach ($tests as $test) {
            if ($this->vocabulary->applies($test, $case->machine)) {
                $asks = $this->asks->before($test, $raised);
                $bearings[] = new TestCard(
                    $this->vocabulary->test($test),
                    $case->standing($test),
                    $closed[$test] ?? [],
                    $this->calculations->forAct($test),
                    array_values(array_filter($asks, static fn (RaisedAsk $one): bool => !isset($past[$one->ask->value]))),
                    array_values(array_intersect_key($past, array_flip(array_map(static fn (RaisedAsk $one): string => $one->ask->value, $asks)))),
                );
            }
        }

        return $bearings;
    }
}
