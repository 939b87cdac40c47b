<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use AwakeShed\App\Drawing\PlanDrawing;
use AwakeShed\App\Words\Catalogue;

/** Draws a day of the plan. */
final readonly class DayCharts
{
    /** The drawing shows these minutes of the day at least. */
    private const FIRST = 480;
    private const LAST = 1020;
    private const DAY = 1440;

    public function __construct(private Catalogue $catalogue, private PlanWords $words)
    {
    }

    public function draw(PlanBoard $board, \DateTimeImmutable $day, \DateTimeImmutable $now): PlanDrawing
    {
        $midnight = $day->setTime(0, 0);
        $items = $board->onDay($midnight);
        $lanes = [];
        foreach ($board->atWork() as $member) {
            $lanes[Workplace::resourceOf($member->id)] = ['id' => Workplace::resourceOf($member->id), 'name' => $member->name, 'bars' => []];
        }
        foreach ([Workplace::LIFT, Workplace::BATH, Workplace::PAD] as $place) {
            $lanes[$place] = ['id' => $place, 'name' => $this->words->place($place), 'bars' => []];
        }
        $first = self::FIRST;
        $last = self::LAST;
        $waits = [];
        foreach ($items as $item) {
            $from = max(0, Workplace::minutesBetween($midnight, $item->start));
            $to = min(self::DAY, Workplace::minutesBetween($midnight, $item->end));
            $bar = ['id' => $item->id, 'words' => '#'.$item->job->id, 'more' => $this->words->piece($item->kind), 'machine' => $item->job->label, 'from' => $from, 'to' => $to, 'tone' => self::tone($item)];
            $own = null === $item->hands ? [] : [Workplace::resourceOf($item->hands->id)];
            foreach ([...$own, ...$item->places] as $lane) {
                // What is put down at closing time is drawn where it is worked on.
                foreach (isset($lanes[$lane]) ? $board->worked($item, $midnight) : [] as [$from, $to]) {
                    $lanes[$lane]['bars'][] = ['from' => $from, 'to' => $to] + $bar;
                    $first = min($first, $from);
                    $last = max($last, $to);
                }
            }
            if ($item->isWait && [] === $item->places) {
                $waits[] = $bar;
            }
        }
        foreach (self::stacked($waits) as $place => $bars) {
            $lanes['waits'.$place] = ['id' => 'waits'.$place, 'name' => 0 === $place ? $this->catalogue->say('waits', [], 'plan') : '', 'bars' => $bars];
        }
        $minute = Workplace::minutesBetween($midnight, $now);

        return new PlanDrawing(
            $this->catalogue->say('chart_of', ['%day%' => $day->format('Y-m-d')], 'plan'),
            array_values($lanes),
            intdiv($first, 60) * 60,
            (int) ceil($last / 60) * 60,
            $minute >= 0 && $minute < self::DAY ? $minute : null,
        );
    }

    /** Who does what in words of the drawing's tones. */
    private static function tone(PlanItem $item): string
    {
        return match (true) {
            $item->isUnderWay() => 'under-way',
            $item->isWait => 'wait',
            $item->isPinned() => 'pinned',
            $item->isLikely => 'likely',
            default => 'sure',
        };
    }

    /**
     * Side by side what goes on at once.
     *
     * @template T of array{from: int, to: int}
     *
     * @param list<T> $bars in order of their start
     *
     * @return list<non-empty-list<T>>
     */
    private static function stacked(array $bars): array
    {
        $lanes = [];
        foreach ($bars as $bar) {
            foreach ($lanes as $place => $lane) {
                if ($lane[\count($lane) - 1]['to'] <= $bar['from']) {
                    $lanes[$place][] = $bar;
                    continue 2;
                }
            }
            $lanes[] = [$bar];
        }

        return array_values($lanes);
    }
}
