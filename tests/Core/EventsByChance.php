<?php

declare(strict_types=1);

namespace AwakeShed\Tests\Core;

use AwakeShed\Core\Evidence\ActDefinition;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\MachineFacts;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Core\Evidence\TestDefinition;
use AwakeShed\Core\Evidence\Vocabulary;
use AwakeShed\Tests\Seeded;

/** What may be recorded of a machine at all, thrown for: looks, acts and cures as nobody makes them in such an order. */
final readonly class EventsByChance
{
    /** Higher numbers are possible, and none of them says anything else. */
    private const HIGHEST = 60;

    private Vocabulary $vocabulary;

    /** @var list<TestDefinition> */
    private array $tests;

    /** @var list<ActDefinition> */
    private array $acts;

    public function __construct(private Seeded $dice, MachineFacts $machine)
    {
        $this->vocabulary = $vocabulary = Vocabulary::shipped();
        $this->tests = array_values(array_filter($vocabulary->tests, static fn (TestDefinition $test): bool => $vocabulary->applies($test->id, $machine)));
        $this->acts = array_values(array_filter($vocabulary->acts, static fn (ActDefinition $act): bool => $vocabulary->canBeDone($act, $machine)));
    }

    public function test(): TestDefinition
    {
        return $this->dice->one($this->tests);
    }

    public function finding(TestDefinition $test): Finding
    {
        if (null !== $test->outcomes) {
            return Finding::observed($test->id, $this->dice->one($test->outcomes));
        }
        [$least, $most] = $this->vocabulary->bounds($test);

        return Finding::number($test->id, $this->dice->int((int) ceil($least), (int) min(self::HIGHEST, $most)));
    }

    public function done(): Done
    {
        return new Done($this->dice->one($this->acts));
    }

    public function putRight(): PutRight
    {
        return new PutRight($this->dice->one(array_keys($this->vocabulary->faults)));
    }
}
