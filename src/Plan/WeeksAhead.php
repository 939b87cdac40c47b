<?php

declare(strict_types=1);

namespace AwakeShed\App\Plan;

use AwakeShed\App\Device\Weather\Weather;
use AwakeShed\App\Job\JobRepository;
use AwakeShed\Core\Schedule\Day\Hands;
use AwakeShed\Core\Schedule\Day\LearnedTime;
use AwakeShed\Core\Schedule\Day\PieceKinds;
use AwakeShed\Core\Schedule\Season\Forecast;
use AwakeShed\Core\Schedule\Season\Load;
use AwakeShed\Core\Schedule\SharedResource;

/**
 * The season: what is in the shed and what will come against the hours there are, week by week.
 *
 * @phpstan-type Week array{monday: \DateTimeImmutable, hours: float, comes: float, left: float}
 */
final readonly class WeeksAhead
{
    public const WEEKS = 20;
    private const YEARS_BACK = 4;

    /** The kinds of work that hours are told apart by. */
    private const WORK = [
        'looking' => ['gates', 'fuel', 'cause'], 'carburetor' => ['strip', 'bath', 'refit'], 'mending' => ['locked', 'flush', 'cure', 'oil_hot'], 'running' => ['first_run', 'proof'], 'handing' => ['hand_over'],
    ];

    public function __construct(private JobRepository $jobs, private Workplace $place, private WorkToPlan $work, private TypicalJob $typical, private PieceKinds $kinds, private Weather $weather)
    {
    }

    /** @param int $more machines beside those that are expected, this week */
    public function from(\DateTimeImmutable $now, int $more): Ahead
    {
        $times = $this->work->times();
        $monday = $now->modify('monday this week')->setTime(0, 0);
        $forecast = Forecast::from($this->weeks($monday));
        $typical = $this->typical->handMinutes($times) / 60;
        $people = array_filter($this->place->resources($now, 7 * self::WEEKS), static fn (SharedResource $one): bool => $one->isPerson);
        $hours = $coming = $mondays = [];
        for ($week = 0; $week < self::WEEKS; ++$week) {
            $mondays[] = $monday->modify("+$week weeks");
            $from = max(0, Workplace::minutesBetween($now, $mondays[$week]));
            $to = Workplace::minutesBetween($now, $monday->modify('+'.($week + 1).' weeks'));
            $hours[] = array_sum(array_map(static fn (SharedResource $one): int => $one->openings->minutesBetween($from, $to), $people)) / 60;
            $coming[] = $forecast->expected($week + 1) * $typical;
        }
        $byWork = $this->byWork($times);
        $plain = new Load(array_sum($byWork), $coming, $hours);
        $load = $plain->with($more * $typical);
        $left = $load->leftOver();
        $weeks = [];
        foreach ($mondays as $week => $day) {
            $weeks[] = ['monday' => $day, 'hours' => $hours[$week], 'comes' => $coming[$week], 'left' => $left[$week]];
        }
        $snow = $this->place->equipment()->getFirstSnow();
        $isOwn = null !== $snow && $snow >= $now->setTime(0, 0);
        $snow = $isOwn ? $snow : $this->weather->nextFirstSnow($now);
        $spring = $this->weather->nextSpring($now);

        return new Ahead(
            $weeks,
            $byWork,
            $forecast,
            $typical,
            $snow,
            $isOwn,
            $this->lastDay($load, $monday, $snow),
            $this->lastDay($plain, $monday, $snow),
            $spring,
            $this->lastDay($load, $monday, $spring),
            $this->lastDay($plain, $monday, $spring),
            $this->jobs->kindsSince($now->modify('-1 year')),
        );
    }

    /** @return list<int> machines week by week, up to the last whole one */
    private function weeks(\DateTimeImmutable $monday): array
    {
        $since = $monday->modify('-'.self::YEARS_BACK.' years')->modify('monday this week');
        $came = $this->jobs->takenInByWeek($since);
        $weeks = [];
        for ($week = $since; $week < $monday; $week = $week->modify('+1 week')) {
            $number = $came[$week->format('Y-m-d')] ?? 0;
            // A shop is as old as its first machine.
            if ([] !== $weeks || $number > 0) {
                $weeks[] = $number;
            }
        }

        return $weeks;
    }

    /**
     * @param array<string, LearnedTime> $times
     *
     * @return array<string, float> hours of hands by kind of work
     */
    private function byWork(array $times): array
    {
        $hours = array_fill_keys(array_keys(self::WORK), 0.0);
        foreach ($this->jobs->toPlan(WorkToPlan::MOST_JOBS) as $job) {
            foreach ($job->getWorkLeft() as $piece) {
                foreach (Hands::Nobody === $this->kinds->kind($piece->kind)->hands ? [] : self::WORK as $work => $kinds) {
                    $hours[$work] += \in_array($piece->kind, $kinds, true) ? $piece->minutes * $times[$piece->kind]->factor / 60 : 0.0;
                }
            }
        }

        return $hours;
    }

    /** The last day on which a machine that comes is ready by another day. */
    private function lastDay(Load $load, \DateTimeImmutable $monday, \DateTimeImmutable $by): ?\DateTimeImmutable
    {
        // Whole weeks: what is to be ready by a Wednesday is to be ready by the Sunday before.
        $week = intdiv(max(0, $by->getTimestamp() - $monday->getTimestamp()), 7 * 86400) - 1;
        $last = $week < 0 ? null : $load->lastFor(min($week, self::WEEKS - 1));

        return null === $last ? null : $monday->modify("+$last weeks")->modify('+4 days');
    }
}
