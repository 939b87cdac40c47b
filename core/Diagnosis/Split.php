<?php

declare(strict_types=1);

namespace AwakeShed\Core\Diagnosis;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Table;

/** On which side of the engine it lies, and what was found that says so (data/split.json). */
final readonly class Split
{
    /** From so likely on a side is named (invented). */
    private const NAMED = 0.5;

    /** Sides within so much of the first are named with it (invented). */
    private const BESIDE = 0.15;
    private const FACTS = 3;
    private const SIDES = ['fuel' => 0.0, 'spark' => 0.0, 'compression' => 0.0, 'timing' => 0.0, 'air' => 0.0];

    /**
     * @param non-empty-array<string, float> $sides by side (fuel, spark, compression, timing, air), the chance that at least one fault of it is there
     * @param list<Finding>                  $facts what was found that splits it, the most telling first; none as long as nothing says that it does not run
     */
    private function __construct(public array $sides, public array $facts)
    {
    }

    public static function ofCase(FaultModel $model, Beliefs $beliefs, CaseFile $case): self
    {
        /** @var array{troubles: array<string, list<string>>, facts: array<string, list<string>>} $data */
        $data = Table::read(__DIR__.'/data/split.json');
        $hasTrouble = [] !== self::standing($model, $case, $data['troubles']);

        return new self(array_replace(self::SIDES, $beliefs->sides), $hasTrouble ? \array_slice(self::standing($model, $case, $data['facts']), 0, self::FACTS) : []);
    }

    /**
     * @param array<string, list<string>> $table outcomes by test
     *
     * @return list<Finding> those of the table that stand, and that nothing put right since speaks against
     */
    private static function standing(FaultModel $model, CaseFile $case, array $table): array
    {
        $standing = [];
        foreach ($table as $test => $outcomes) {
            $finding = $case->putRightSince($test, ...array_keys($model->tests[$test]->causes ?? [])) ? null : $case->standing($test);
            if (true === $finding?->saysAnyOf($outcomes)) {
                $standing[] = $finding;
            }
        }

        return $standing;
    }

    /** @return list<string> the sides it lies on, the likeliest first; none where nothing points at one */
    public function named(): array
    {
        $most = max($this->sides);
        if ([] === $this->facts || $most < self::NAMED) {
            return [];
        }
        $named = array_filter($this->sides, static fn (float $share): bool => $share >= $most - self::BESIDE);
        arsort($named);

        return array_keys($named);
    }
}
