<?php

declare(strict_types=1);

namespace AwakeShed\Core\Progress;

use AwakeShed\Core\Diagnosis\FaultModel;
use AwakeShed\Core\Evidence\ActDefinition;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Core\Line\Line;

/**
 * The bad findings that still stand though the work has gone on, each with the acts that would have cured it: what was
 * done and not said is said in one go.
 */
final readonly class LookBack
{
    /** Said of an act when it was done before what was recorded last: the engine need not show again that it runs. */
    public const EARLIER = ['looked_back' => true];

    /** When it is time to look back: fuel is in, the carburetor is closed, or it runs. */
    private const MOMENTS = ['tank.filled', 'carburetor.checked', 'engine.ran'];

    public function __construct(private Vocabulary $vocabulary, private Line $line, private FaultModel $model)
    {
    }

    /** Whether the work has come so far that there is something to look back on. */
    public static function isTime(CaseFile $case): bool
    {
        return $case->state->was(...self::MOMENTS) || $case->says(['start.plain' => ['runs']]);
    }

    /** @return array<string, non-empty-list<string>> by test whose finding is bad, the acts that cure it, the plainest first; empty before there is anything to look back on */
    public function left(CaseFile $case): array
    {
        if (!self::isTime($case)) {
            return [];
        }
        $left = [];
        foreach ($this->vocabulary->tests as $test) {
            $finding = $case->standing($test->id);
            if (null === $finding || !$this->line->provesBad($finding)) {
                continue;
            }
            $faults = array_keys($this->model->tests[$test->id]->causes ?? []);
            if ([] !== $faults && $case->putRightSince($test->id, ...$faults)) {
                continue;
            }
            $acts = array_filter($this->vocabulary->acts, fn (ActDefinition $act): bool => $this->vocabulary->canBeDone($act, $case->machine) && 'replaced' !== $act->state && \in_array($test->id, $act->voids, true) && [] !== array_intersect($act->putsRight, $faults));
            if ([] !== $acts) {
                // What changes least besides is what was most likely done.
                uasort($acts, static fn (ActDefinition $one, ActDefinition $other): int => \count($one->voids) <=> \count($other->voids));
                $left[$test->id] = array_keys($acts);
            }
        }

        return $left;
    }

    /** Whether an act was said by looking back. */
    public static function wasEarlier(Done $done): bool
    {
        return true === ($done->extras['looked_back'] ?? false);
    }
}
