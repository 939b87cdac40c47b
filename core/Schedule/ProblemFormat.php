<?php

declare(strict_types=1);

namespace AwakeShed\Core\Schedule;

/** The open plan format, version 1: a planning problem from its JSON and back (docs/plan-format.md). */
final readonly class ProblemFormat
{
    public const NAME = 'awake-shed/plan-problem';
    public const VERSION = 1;
    public const SCHEMA = __DIR__.'/data/plan-problem.schema.json';

    /** The word under which alternatives stand among what is used. */
    private const ONE_OF = 'one_of';

    private const PERSON = 'person';
    private const SEED = 1;
    private const BUDGET = 2000;
    private const MOST_WEIGHT = 1_000_000;
    private const MOST_UNITS = 1_000_000;

    private function __construct()
    {
    }

    /** @throws UnreadablePlanProblem with everything that is wrong */
    public static function parse(string $json): Problem
    {
        try {
            $tree = json_decode($json, false, 16, \JSON_THROW_ON_ERROR);
        } catch (\JsonException $malformed) {
            throw UnreadablePlanProblem::because('Not JSON: '.$malformed->getMessage().'.');
        }
        $complaints = new Complaints();
        $document = Document::read($tree, '', ['format', 'version', 'objective', 'seed', 'budget_ms', 'resources', 'jobs', 'operations'], $complaints);
        if (!$tree instanceof \stdClass) {
            $complaints->raise();
        }
        if (self::NAME !== $document->value('format')) {
            $document->complain('format', \sprintf('"%s" is expected.', self::NAME));
        }
        if (self::VERSION !== $document->value('version')) {
            $document->complain('version', \sprintf('%d is expected.', self::VERSION));
        }
        $objective = Objective::tryFrom($document->text('objective'));
        if (null === $objective && $document->has('objective')) {
            $document->complain('objective', 'makespan or weighted_tardiness is expected.');
        }
        $resources = self::resources($document, $complaints);
        [$jobs, $places] = self::jobs($document, $complaints);
        $operations = self::operations($document, $resources, $jobs, $complaints);
        $worked = array_flip(array_map(static fn (Operation $one): string => $one->job, $operations));
        foreach (array_diff_key($places, $worked) as $place) {
            $complaints->add('/jobs/'.$place, 'It has no operations.');
        }
        $problem = new Problem(
            $objective ?? Objective::WeightedTardiness,
            $document->optionalNumber('seed') ?? self::SEED,
            $document->optionalNumber('budget_ms', 0) ?? self::BUDGET,
            array_values($resources),
            array_values($jobs),
            $operations,
        );
        $complaints->raise();

        return $problem;
    }

    /** @return array<string, mixed> ready for JSON */
    public static function write(Problem $problem): array
    {
        $filled = static fn (array $fields): array => array_filter($fields, static fn (mixed $one): bool => null !== $one);

        return [
            'format' => self::NAME,
            'version' => self::VERSION,
            'objective' => $problem->objective->value,
            'seed' => $problem->seed,
            'budget_ms' => $problem->budget,
            'resources' => array_map(static fn (SharedResource $one): array => $filled([
                'id' => $one->id,
                'kind' => $one->isPerson ? self::PERSON : null,
                'capacity' => $one->capacity,
                'open' => $one->openings->stretches,
                'batch' => null === $one->cycle ? null : true,
                'cycle_minutes' => $one->cycle,
            ]), $problem->resources),
            'jobs' => array_map(static fn (PlanJob $one): array => $filled(['id' => $one->id, 'due' => $one->due, 'weight' => $one->weight, 'release' => $one->release]), $problem->jobs),
            'operations' => array_map(static fn (Operation $one): array => $filled([
                'id' => $one->id,
                'job' => $one->job,
                'minutes' => $one->minutes,
                'uses' => (object) [...array_column($one->uses, 1, 0), ...([] === $one->oneOf ? [] : [self::ONE_OF => $one->oneOf])],
                'after' => [] === $one->after ? null : $one->after,
                'at_most_after' => $one->atMostAfter,
                'batch_key' => $one->batchKey,
                'pinned' => $one->pinned,
                'splits' => $one->splits ? true : null,
            ]), $problem->asWritten()),
        ];
    }

    /** @return array<array-key, SharedResource> by id */
    private static function resources(Document $document, Complaints $complaints): array
    {
        $resources = [];
        foreach ($document->list('resources') as $place => $one) {
            $entry = Document::read($one, '/resources/'.$place, ['id', 'kind', 'capacity', 'open', 'batch', 'cycle_minutes'], $complaints);
            $id = $entry->text('id');
            self::once($entry, $id, $resources);
            if (self::ONE_OF === $id) {
                $entry->complain('id', 'one_of is no name for a resource.');
            }
            $isBatch = $entry->flag('batch');
            $cycle = $isBatch ? $entry->number('cycle_minutes', 1) : $entry->optionalNumber('cycle_minutes', 1);
            $resources[$id] ??= new SharedResource(
                $id,
                self::PERSON === $entry->optionalText('kind'),
                $entry->optionalNumber('capacity', 1, self::MOST_UNITS) ?? 1,
                $entry->has('open') ? self::openings($entry, $complaints) : Openings::always(),
                $isBatch ? $cycle : null,
            );
        }

        return $resources;
    }

    private static function openings(Document $entry, Complaints $complaints): Openings
    {
        $stretches = [];
        foreach ($entry->list('open') as $place => $stretch) {
            $pointer = Document::at($entry->pointer, 'open').'/'.$place;
            if (!\is_array($stretch) || !array_is_list($stretch) || 2 !== \count($stretch)) {
                $complaints->add($pointer, 'Two minutes are expected, from and to.');
                continue;
            }
            $from = $entry->whole($stretch[0], $pointer.'/0');
            $to = $entry->whole($stretch[1], $pointer.'/1');
            if (null !== $from && null !== $to && $from >= $to) {
                $complaints->add($pointer, 'It ends before it begins.');
            }
            $stretches[] = [$from ?? 0, $to ?? 0];
        }

        return Openings::of($stretches);
    }

    /** @return array{array<array-key, PlanJob>, array<array-key, int>} jobs and their places in the document, by id */
    private static function jobs(Document $document, Complaints $complaints): array
    {
        $jobs = $places = [];
        foreach ($document->list('jobs') as $place => $one) {
            $entry = Document::read($one, '/jobs/'.$place, ['id', 'due', 'weight', 'release'], $complaints);
            $id = $entry->text('id');
            self::once($entry, $id, $jobs);
            $jobs[$id] ??= new PlanJob($id, $entry->optionalNumber('due'), $entry->optionalNumber('weight', 0, self::MOST_WEIGHT) ?? 1, $entry->optionalNumber('release') ?? 0);
            $places[$id] ??= $place;
        }

        return [$jobs, $places];
    }

    /**
     * @param array<array-key, SharedResource> $resources
     * @param array<array-key, PlanJob>        $jobs
     *
     * @return list<Operation>
     */
    private static function operations(Document $document, array $resources, array $jobs, Complaints $complaints): array
    {
        $operations = $entries = [];
        foreach ($document->list('operations') as $place => $one) {
            $entry = Document::read($one, '/operations/'.$place, ['id', 'job', 'minutes', 'uses', 'after', 'at_most_after', 'batch_key', 'pinned', 'splits'], $complaints);
            $id = $entry->text('id');
            self::once($entry, $id, $operations);
            $job = $entry->text('job');
            if ('' !== $job && !isset($jobs[$job])) {
                $entry->complain('job', \sprintf('There is no job "%s".', $job));
            }
            [$uses, $oneOf] = self::uses($entry, $resources, $complaints);
            $minutes = $entry->number('minutes', 1);
            foreach ($uses as [$taken]) {
                if (null !== ($resources[$taken]->cycle ?? null) && $resources[$taken]->cycle !== $minutes) {
                    $entry->complain('minutes', \sprintf('A cycle of "%s" takes %d minutes.', $taken, $resources[$taken]->cycle));
                }
            }
            $after = $entry->has('after') ? array_map(static fn (mixed $one): string => \is_string($one) ? $one : '', $entry->list('after')) : [];
            if ([] === $after && $entry->has('at_most_after')) {
                $entry->complain('at_most_after', 'There is nothing it comes after.');
            }
            $operations[$id] ??= new Operation($id, $job, $minutes, $uses, $oneOf, $after, $entry->optionalNumber('at_most_after', 0), $entry->optionalNumber('pinned'), $entry->flag('splits'), $entry->optionalText('batch_key'));
            $entries[] = [$entry, $after];
        }
        foreach ($entries as [$entry, $after]) {
            foreach ($after as $place => $first) {
                if (!isset($operations[$first])) {
                    $complaints->add(Document::at($entry->pointer, 'after').'/'.$place, \sprintf('There is no operation "%s".', $first));
                }
            }
        }

        return array_values($operations);
    }

    /**
     * @param array<array-key, SharedResource> $resources
     *
     * @return array{list<array{string, int}>, list<non-empty-list<string>>} what is used with its units, and the alternatives
     */
    private static function uses(Document $entry, array $resources, Complaints $complaints): array
    {
        $value = $entry->value('uses');
        if (null === $value || [] === $value) {
            return [[], []];
        }
        $pointer = Document::at($entry->pointer, 'uses');
        if (!$value instanceof \stdClass) {
            $entry->complain('uses', 'An object is expected: units by resource.');

            return [[], []];
        }
        $uses = $oneOf = [];
        foreach (get_object_vars($value) as $name => $units) {
            $name = (string) $name;
            $at = Document::at($pointer, $name);
            if (self::ONE_OF === $name) {
                $oneOf = null === $units ? [] : self::alternatives($units, $at, $resources, array_map(strval(...), array_keys(get_object_vars($value))), $complaints);
                continue;
            }
            if (!isset($resources[$name])) {
                $complaints->add($at, \sprintf('There is no resource "%s".', $name));
                continue;
            }
            $units = $entry->whole($units, $at, 1) ?? 1;
            if ($units > $resources[$name]->capacity) {
                $complaints->add($at, \sprintf('"%s" has a capacity of %d.', $name, $resources[$name]->capacity));
            }
            $uses[] = [$name, $units];
        }

        return [$uses, $oneOf];
    }

    /**
     * @param array<array-key, SharedResource> $resources
     * @param list<string>                     $used
     *
     * @return list<non-empty-list<string>>
     */
    private static function alternatives(mixed $value, string $pointer, array $resources, array $used, Complaints $complaints): array
    {
        if (!\is_array($value) || !array_is_list($value) || [] === $value) {
            $complaints->add($pointer, 'A list of alternatives is expected, one at least.');

            return [];
        }
        $alternatives = [];
        foreach ($value as $place => $alternative) {
            $at = $pointer.'/'.$place;
            if (!\is_array($alternative) || !array_is_list($alternative) || [] === $alternative) {
                $complaints->add($at, 'A list of resources is expected, one at least.');
                continue;
            }
            $names = [];
            foreach ($alternative as $step => $name) {
                $wrong = match (true) {
                    !\is_string($name) || !isset($resources[$name]) => 'There is no such resource.',
                    null !== $resources[$name]->cycle => \sprintf('"%s" runs batches; it cannot be an alternative.', $name),
                    \in_array($name, $used, true) => \sprintf('"%s" is used anyway.', $name),
                    \in_array($name, $names, true) => \sprintf('"%s" stands there twice.', $name),
                    default => null,
                };
                if (null !== $wrong) {
                    $complaints->add($at.'/'.$step, $wrong);
                } elseif (\is_string($name)) {
                    $names[] = $name;
                }
            }
            if ([] !== $names) {
                $alternatives[] = $names;
            }
        }

        return $alternatives;
    }

    /** @param array<array-key, object> $known */
    private static function once(Document $entry, string $id, array $known): void
    {
        if (isset($known[$id])) {
            $entry->complain('id', \sprintf('"%s" is there twice.', $id));
        }
    }
}
