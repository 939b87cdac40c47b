<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Table;

/** What splits a machine that does not run by the side it lies on (data/split.json). */
final readonly class SplitRules
{
    private const FACTS = 3;
    private const SIDES = ['fuel' => 0.0, 'spark' => 0.0, 'compression' => 0.0, 'timing' => 0.0, 'air' => 0.0];

    /**
     * @param array<string, list<string>> $troubles by test, the outcomes that say that it does not run as it should
     * @param array<string, list<string>> $facts    by test, the outcomes worth saying aloud, the most telling first
     */
    private function __construct(private array $troubles, private array $facts, private FaultModel $model)
    {
    }

    public static function shipped(FaultModel $model): self
    {
        /** @var array{troubles: array<string, list<string>>, facts: array<string, list<string>>} $data */
        $data = Table::read(__DIR__.'/data/split.json');

        return new self($data['troubles'], $data['facts'], $model);
    }

    public function split(Beliefs $beliefs, CaseFile $case): Split
    {
        $facts = [] === $this->standing($this->troubles, $case) ? [] : $this->standing($this->facts, $case);

        return new Split(array_replace(self::SIDES, $beliefs->sides), \array_slice($facts, 0, self::FACTS));
    }

    /**
     * @param array<string, list<string>> $table outcomes by test
     *
     * @return list<Finding> those of the table that stand, and that nothing put right since speaks against
     */
    private function standing(array $table, CaseFile $case): array
    {
        $standing = [];
        foreach ($table as $test => $outcomes) {
            $finding = $case->putRightSince($test, ...array_keys($this->model->tests[$test]->causes ?? [])) ? null : $case->standing($test);
            if (true === $finding?->saysAnyOf($outcomes)) {
                $standing[] = $finding;
            }
        }

        return $standing;
    }
}
