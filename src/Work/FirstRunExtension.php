<?php

declare(strict_types=1);

namespace AwakeShed\App\Work;

use AwakeShed\App\Evidence\Record;
use AwakeShed\Core\Stage\StagePlan;
use AwakeShed\Core\Stage\Step;
use Twig\Attribute\AsTwigFunction;

/** What a machine of its kind wants ready before it is started, for every page on which a start is a tap away. */
final readonly class FirstRunExtension
{
    private const START = 'first_run.start';

    public function __construct(private StagePlan $plan)
    {
    }

    /** @return list<Step> not said to be done yet */
    #[AsTwigFunction('before_a_start')]
    public function beforeAStart(Record $record): array
    {
        return array_map($this->plan->step(...), $this->plan->stateOf($this->plan->step(self::START), $record->case(), $record->acts())->first);
    }
}
