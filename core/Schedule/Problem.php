<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule;

/** What is to be planned. Minutes are counted from the beginning of the plan. */
final readonly class Problem
{
    /** @var list<SharedResource> in order of their ids */
    public array $resources;

    /** @var list<PlanJob> in order of their ids */
    public array $jobs;

    /** @var list<Operation> in order of their ids */
    public array $operations;

    /** @var array<int> by place in `operations`, where it was written down: of two pins in conflict the later gives way */
    public array $written;

    /**
     * Everything is kept in order of ids, so that the order in which it was written down changes nothing else.
     *
     * @param list<SharedResource> $resources
     * @param list<PlanJob>        $jobs
     * @param list<Operation>      $operations whose words all name something of the problem
     * @param int                  $budget     milliseconds of a slow core, counted in the search's own steps
     */
    public function __construct(public Objective $objective, public int $seed, public int $budget, array $resources, array $jobs, array $operations)
    {
        $byId = static fn (SharedResource|PlanJob|Operation $one, SharedResource|PlanJob|Operation $other): int => self::inOrder($one->id, $other->id);
        usort($resources, $byId);
        usort($jobs, $byId);
        uasort($operations, $byId);
        $this->resources = $resources;
        $this->jobs = $jobs;
        $this->written = array_keys($operations);
        $this->operations = array_values($operations);
    }

    /** As people count: 9 before 10. */
    public static function inOrder(string $one, string $other): int
    {
        $order = strnatcmp($one, $other);

        // Of 1 and 01 it says that they are one.
        return 0 === $order ? strcmp($one, $other) : $order;
    }

    public function with(?int $budget = null, ?int $seed = null): self
    {
        return new self($this->objective, $seed ?? $this->seed, $budget ?? $this->budget, $this->resources, $this->jobs, $this->asWritten());
    }

    /**
     * The same with other jobs, operations or resources.
     *
     * @param list<SharedResource>|null $resources
     * @param list<PlanJob>|null        $jobs
     * @param list<Operation>|null      $operations
     */
    public function changed(?array $resources = null, ?array $jobs = null, ?array $operations = null): self
    {
        return new self($this->objective, $this->seed, $this->budget, $resources ?? $this->resources, $jobs ?? $this->jobs, $operations ?? $this->asWritten());
    }

    /** @return list<Operation> as they were written down */
    public function asWritten(): array
    {
        $written = array_combine($this->written, $this->operations);
        ksort($written);

        return array_values($written);
    }
}
