<?php

declare(strict_types=1);

namespace AwakeShed\App\Diagnosis;

use AwakeShed\App\Calc\Calculations;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Gate\Gatekeeper;

/** Lays tests out for the pages of a job. */
final readonly class TestCards
{
    public function __construct(private Vocabulary $vocabulary, private Gatekeeper $gatekeeper, private Calculations $calculations)
    {
    }

    /**
     * @param list<string> $tests
     *
     * @return list<TestCard> of those the machine can have
     *
     * @throws \AwakeShed\Core\Evidence\UnknownWord
     */
    public function of(CaseFile $case, array $tests): array
    {
        $closed = $this->gatekeeper->closed($case, $tests);
        $bearings = [];
        foreach ($tests as $test) {
            if ($this->vocabulary->applies($test, $case->machine)) {
                $bearings[] = new TestCard($this->vocabulary->test($test), $case->standing($test), $closed[$test] ?? [], $this->calculations->forAct($test));
            }
        }

        return $bearings;
    }
}
