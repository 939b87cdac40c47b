<?php

declare(strict_types=1);

namespace AwakeShed\App\Sheet;

use AwakeShed\App\Account\Shops;
use AwakeShed\App\Evidence\Content\GonePast;
use AwakeShed\App\Evidence\Record;
use AwakeShed\App\Job\Job;
use AwakeShed\App\JobPage\LineDrawer;
use AwakeShed\App\Money\JobMonies;
use AwakeShed\App\Photo\Photo;
use AwakeShed\App\Photo\PhotoRepository;
use AwakeShed\App\Reader\Dates;
use AwakeShed\App\Season\LayUps;
use AwakeShed\App\Unit\Quantities;
use AwakeShed\App\Words\Catalogue;
use AwakeShed\App\Words\SheetWords;
use AwakeShed\App\Words\StepWords;
use AwakeShed\App\Words\Words;
use AwakeShed\Core\Diagnosis\Assessing;
use AwakeShed\Core\Diagnosis\Assessment;
use AwakeShed\Core\Evidence\ActDefinition;
use AwakeShed\Core\Evidence\CaseFile;
use AwakeShed\Core\Evidence\Done;
use AwakeShed\Core\Evidence\Finding;
use AwakeShed\Core\Evidence\PutRight;
use AwakeShed\Core\Line\Line;
use AwakeShed\Core\Progress\Asks;
use AwakeShed\Core\Progress\ProofRun;
use AwakeShed\Core\Progress\Unproved;
use AwakeShed\Core\Proving\ExpectedSmoke;
use AwakeShed\Core\Proving\Watch;
use AwakeShed\Core\Service\ServiceList;
use AwakeShed\Core\Stage\Act;

/** Writes the owner's sheet off a job's record, in the units of whoever reads it. */
final readonly class OwnersSheets
{
    private const MOST_PHOTOS = 3;
    private const MADE_NEW = ['renewed', 'replaced', 'fitted'];

    /** Acts that are no work of themselves: on and off, in and out. */
    private const HANDLING = ['plug.out', 'plug.in', 'covers.off', 'covers.on', 'bowl.off', 'bowl.on', 'carburetor.off', 'carburetor.on', 'air_filter.out', 'air_filter.in', 'tap.shut', 'tap.opened', 'line.clamped', 'line.released', 'lead.grounded', 'lead.on', 'bowl.tapped', 'engine.ran', 'water.on', 'water.off', 'carburetor.checked'];

    public function __construct(
        private Shops $shops,
        private Line $line,
        private LineDrawer $lines,
        private Assessing $assessor,
        private JobMonies $monies,
        private PhotoRepository $photos,
        private Words $words,
        private StepWords $steps,
        private SheetWords $sheet,
        private Catalogue $catalogue,
        private Dates $dates,
        private Quantities $quantities,
        private Unproved $unproved,
        private Asks $asks,
        private LayUps $layUps,
    ) {
    }

    public function of(Record $record): OwnersSheet
    {
        $job = $record->job;
        $case = $record->case();
        $assessment = $this->assessor->assess($case);
        $shop = $this->shops->current();
        $money = $this->monies->of($record);
        $sections = [
            'said' => array_map($this->words->event(...), array_values(array_filter($case->events, static fn ($event): bool => $event instanceof Finding && $event->isClaim() && [] === array_intersect($event->outcomes, ['unknown'])))),
            'found' => $this->found($case),
            'disagrees' => array_map(fn ($one): string => $this->say('disagrees_line', ['%claim%' => $this->words->test($one->claim), '%against%' => implode(', ', array_map($this->words->test(...), array_keys($one->against)))]), $assessment->contradictions),
            'done' => $this->done($case, $record->acts(), false),
            'renewed' => $this->done($case, $record->acts(), true),
            'not_proved' => $this->notProved($record, $assessment),
            'smoke' => array_map(fn (ExpectedSmoke $smoke): string => $this->catalogue->say('smoke.'.$smoke->value, ['%minutes%' => $smoke->minutes()], 'steps'), ExpectedSmoke::of($case)),
            'watch' => array_map(fn (Watch $watch): string => $this->say('watch_'.$watch->value), Watch::after($case, $record->acts())),
            'next' => $this->next($job),
            'agreed' => $this->agreed($money->upTo()),
        ];

        return new OwnersSheet(
            $shop?->getName() ?? '',
            $job,
            $this->say('title', ['%machine%' => $job->getMachine()->getLabel()]),
            $this->facts($record),
            $this->lines->draw($job, $case),
            array_values(array_filter(array_map(fn (string $id, array $lines): ?SheetSection => [] === $lines ? null : new SheetSection($id, $this->say($id), array_values(array_unique($lines))), array_keys($sections), $sections))),
            $this->numbers($case),
            self::chosen($this->photos->ofJob($job)),
            $money,
        );
    }

    /**
     * What nobody has shown, what somebody went on past, and why it goes as it is.
     *
     * @return list<string>
     */
    private function notProved(Record $record, Assessment $assessment): array
    {
        $case = $record->case();
        $lines = ProofRun::hasRun($case) || $record->job->isHandedBack() ? array_map($this->words->test(...), ProofRun::left($case)) : [];
        $lines = [...$lines, ...array_map($this->words->fault(...), $this->unproved->left($case, $assessment))];
        foreach ($record->gonePast([...$this->asks->raised($case), ...$this->asks->atTheBench($record->ledger())]) as $entry) {
            $past = $entry->content();
            if ($past instanceof GonePast) {
                $lines[] = $this->say('gone_past', ['%ask%' => $this->words->ask($past->ask), '%reason%' => $past->reason]);
            }
        }
        $reason = $record->job->getHandBackReason();

        return '' === $reason ? $lines : [...$lines, $this->say('as_it_is', ['%reason%' => $reason])];
    }

    /**
     * How it came, and how it goes.
     *
     * @param list<Photo> $photos oldest first
     *
     * @return list<Photo>
     */
    private static function chosen(array $photos): array
    {
        return \count($photos) <= self::MOST_PHOTOS ? $photos : [$photos[0], ...\array_slice($photos, 1 - self::MOST_PHOTOS)];
    }

    /** @return list<string> */
    private function facts(Record $record): array
    {
        $job = $record->job;
        $machine = $job->getMachine();
        $plate = $machine->facts()->plate;
        $place = $this->shops->current()?->getPlace() ?? '';

        return array_values(array_filter([
            $place,
            $this->say('job', ['%number%' => $job->getId(), '%owner%' => $machine->getOwnerName()]),
            implode(', ', array_map(fn (string $name, string $said): string => $this->sheet->line($name).' '.$said, array_keys($plate), $plate)),
            $this->say(null === $job->getHandedBackAt() ? 'stay_so_far' : 'stay', ['%in%' => $this->dates->day($job->getTakenInAt()), '%out%' => null === $job->getHandedBackAt() ? '' : $this->dates->day($job->getHandedBackAt())]),
        ], static fn (string $line): bool => '' !== $line));
    }

    /** @return list<string> what was found that was not as it should be, the first time it was seen */
    private function found(CaseFile $case): array
    {
        $found = [];
        foreach ($case->events as $event) {
            if ($event instanceof Finding && !$event->isClaim() && $this->line->provesBad($event)) {
                $found[$event->test] ??= $this->words->event($event);
            }
        }

        return array_values($found);
    }

    /**
     * @param list<Act> $acts steps of the stages
     *
     * @return list<string>
     */
    private function done(CaseFile $case, array $acts, bool $isNew): array
    {
        $done = [];
        foreach ($case->events as $event) {
            if ($event instanceof Done && !\in_array($event->act->id, self::HANDLING, true) && self::isNew($event->act) === $isNew) {
                $done[] = $this->words->event($event);
            }
            if ($event instanceof PutRight && !$isNew) {
                $done[] = $this->words->event($event);
            }
        }
        foreach ($acts as $act) {
            if ((ServiceList::isItem($act->step) || str_starts_with($act->step, 'layup.')) && ('renewed' === $act->choice) === $isNew && !\in_array($act->choice, ['good', 'none_fitted', 'sealed'], true)) {
                $done[] = $this->steps->act($act);
            }
        }

        return $done;
    }

    private static function isNew(ActDefinition $act): bool
    {
        return \in_array($act->state, self::MADE_NEW, true);
    }

    /** @return list<array{string, string, string}> what was looked at more than once and is otherwise now */
    private function numbers(CaseFile $case): array
    {
        $first = $last = [];
        foreach ($case->events as $event) {
            if ($event instanceof Finding && !$event->isClaim()) {
                $first[$event->test] ??= $event;
                $last[$event->test] = $event;
            }
        }
        $numbers = [];
        foreach ($last as $test => $finding) {
            [$before, $after] = [$this->words->withFigures($first[$test]), $this->words->withFigures($finding)];
            if ($finding !== $first[$test] && $before !== $after) {
                $numbers[] = [$this->words->test($test), $before, $after];
            }
        }

        return $numbers;
    }

    /** @return list<string> */
    private function next(Job $job): array
    {
        return [$this->say('next_lay_up', ['%day%' => $this->dates->day($this->layUps->layUpDay($job))]), $this->say('next_wake', ['%day%' => $this->dates->day($this->layUps->wakeDay($job))])];
    }

    /** @return list<string> */
    private function agreed(?float $upTo): array
    {
        return null === $upTo || $upTo <= 0.0 ? [] : [$this->say('agreed_line', ['%sum%' => '$'.$this->quantities->money($upTo, 2)])];
    }

    /** @param array<string, int|string> $with */
    private function say(string $key, array $with = []): string
    {
        return $this->catalogue->say($key, $with, 'sheet');
    }
}
