<?php

declare(strict_types=1);

namespace AwakeShed\App\Life;

use AwakeShed\App\Job\Machine;

/** All that is known of a machine, across all its stays. */
final readonly class MachineLife
{
    /**
     * @param array<string, non-empty-list<LifeNote>> $notes  by topic, the latest first
     * @param list<Stay>                              $stays  the latest first
     * @param array<string, int>                      $alike  faults that were cured on others of its model, with how often
     * @param list<Stay>                              $others stays of others of its model
     */
    public function __construct(public Machine $machine, public array $notes, public array $stays, public array $alike, public array $others)
    {
    }
}
