<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use AwakeShed\App\Exchange\JsonFileCommand;
use AwakeShed\Core\Schedule\PlanFormat;
use AwakeShed\Core\Schedule\Planner;
use AwakeShed\Core\Schedule\ProblemFormat;
use Symfony\Component\Console\Attribute\AsCommand;

/** Plans a planning problem (docs/plan-format.md). */
#[AsCommand('shed:plan', 'Plans a planning problem: who does what when, what is late, what cannot be planned and why.')]
final class PlanCommand extends JsonFileCommand
{
    /** The format is strict in this. */
    protected function whole(): string
    {
        return '';
    }

    protected function answer(string $json): array
    {
        $problem = ProblemFormat::parse($json);
        $began = hrtime(true);
        $plan = Planner::plan($problem);

        return PlanFormat::write($plan, intdiv(hrtime(true) - $began, 1_000_000));
    }
}
