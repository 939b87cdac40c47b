<?php

declare(strict_types=1);

namespace AwakeShed\Core\Service;

use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Stage\StepState;

/** The service of a machine: each item that it has, with when it was done last and whether it is due. */
final readonly class ServiceList
{
    private const STAGE = 'service.';

    /** @param list<ServiceItem> $items what is due first, then by when it will be */
    private function __construct(public array $items)
    {
    }

    /**
     * @param list<StepState>                   $steps      of the stage of service, as this machine is asked them
     * @param array<string, \DateTimeImmutable> $past       by step, when it was done last on an earlier job
     * @param float|null                        $hoursAYear that it runs; null where nobody has said
     */
    public static function of(array $steps, CaseFile $case, array $past, ?float $hoursAYear, \DateTimeImmutable $today): self
    {
        $intervals = Interval::shipped();
        $items = [];
        foreach ($steps as $state) {
            $interval = $intervals[$state->step->id] ?? null;
            if (null === $interval) {
                continue;
            }
            $last = $state->isDone ? $today : $past[$interval->step] ?? null;
            $next = $last?->add(new \DateInterval(\sprintf('P%dM', $interval->monthsFor($hoursAYear))));
            $items[] = new ServiceItem($interval->step, match (true) {
                $state->isDone => Due::DoneNow,
                $interval->isFoundDue($case) => Due::Found,
                null === $last => Due::NeverDone,
                $next <= $today => Due::Overdue,
                default => Due::Later,
            }, $last, $next);
        }
        // What is due stands first, in the order of the work; the rest by its day.
        usort($items, static fn (ServiceItem $one, ServiceItem $other): int => [!$one->due->isDue(), $one->due->isDue() ? null : $one->next] <=> [!$other->due->isDue(), $other->due->isDue() ? null : $other->next]);

        return new self($items);
    }

    public function item(string $step): ?ServiceItem
    {
        foreach ($this->items as $item) {
            if ($item->step === $step) {
                return $item;
            }
        }

        return null;
    }

    /** @return list<ServiceItem> what is to be done now */
    public function due(): array
    {
        return array_values(array_filter($this->items, static fn (ServiceItem $item): bool => $item->due->isDue()));
    }

    /** @return \DateTimeImmutable|null the first day on which anything is due again; null where none of it was ever done */
    public function firstDay(): ?\DateTimeImmutable
    {
        $days = array_filter(array_map(static fn (ServiceItem $item): ?\DateTimeImmutable => $item->next, $this->items));

        return [] === $days ? null : min($days);
    }

    /** @return list<string> steps that will be due by a day */
    public function dueBy(\DateTimeImmutable $day): array
    {
        return array_values(array_map(static fn (ServiceItem $item): string => $item->step, array_filter($this->items, static fn (ServiceItem $item): bool => null === $item->next || $item->next <= $day)));
    }

    public static function isItem(string $step): bool
    {
        return str_starts_with($step, self::STAGE);
    }
}
