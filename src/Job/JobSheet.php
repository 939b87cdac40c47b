<?php

declare(strict_types=1);

namespace AwakeShed\App\Job;

use AwakeShed\Core\Evidence\CaseFormat;
use AwakeShed\Core\Progress\WaitsOn;

/**
 * What is written on a job besides its evidence, as plain values: whose machine it is, what its plate says, when it is
 * wanted, which schools it follows. Two of them side by side say what a change changed.
 */
final readonly class JobSheet
{
    private const OWN_KEYS = ['label', 'owner', 'contact', 'wanted_by', 'remarks', 'schools', 'waits_on', 'handed_back_at', 'hand_back_reason', 'cap', 'worth', 'is_comeback', 'missed'];

    /** @param array<string, mixed> $values a machine's facts under their names in the case format */
    private function __construct(private array $values)
    {
    }

    public static function fromJob(Job $job): self
    {
        $machine = $job->getMachine();

        return new self([
            'label' => $machine->getLabel(),
            'owner' => $machine->getOwnerName(),
            'contact' => $machine->getOwnerContact(),
            'wanted_by' => $job->getWantedBy()?->format('Y-m-d'),
            'remarks' => $job->getRemarks(),
            'schools' => $job->getSchools(),
            'waits_on' => $job->getWaitsOn()?->value,
            'handed_back_at' => $job->getHandedBackAt()?->format(\DATE_ATOM),
            'hand_back_reason' => '' === $job->getHandBackReason() ? null : $job->getHandBackReason(),
            'cap' => $job->getCap(),
            'worth' => $job->getWorth(),
            'is_comeback' => $job->isComeback(),
            'missed' => '' === $job->getMissed() ? null : $job->getMissed(),
        ] + CaseFormat::machineToArray($machine->facts()));
    }

    /** @return array{before: array<string, mixed>, after: array<string, mixed>} only what differs, empty when nothing does */
    public function changesTo(self $after): array
    {
        $changes = ['before' => [], 'after' => []];
        foreach ($this->values + $after->values as $key => $either) {
            if (($this->values[$key] ?? null) !== ($after->values[$key] ?? null)) {
                $changes['before'][$key] = $this->values[$key] ?? null;
                $changes['after'][$key] = $after->values[$key] ?? null;
            }
        }

        return $changes;
    }

    /**
     * Writes values back onto a job; what they do not name stays.
     *
     * @param array<string, mixed> $values one side of {@see changesTo()}
     */
    public static function write(Job $job, array $values): void
    {
        $now = array_filter($values + self::fromJob($job)->values, static fn (mixed $value): bool => null !== $value);
        $now = array_diff_key($now, array_filter($values, is_null(...)));
        $text = static fn (string $key): string => \is_string($now[$key] ?? null) ? $now[$key] : '';
        $machine = array_diff_key($now, array_flip(self::OWN_KEYS));
        $job->getMachine()->describe(
            $text('label'),
            CaseFormat::machineFromArray(['kind' => $text('kind')] + $machine),
            $text('owner'),
            $text('contact'),
        );
        $job->wantedFor('' === $text('wanted_by') ? null : new \DateTimeImmutable($text('wanted_by')), $text('remarks'));
        /** @var array<string, string> $schools */
        $schools = $now['schools'] ?? [];
        $job->followOnly($schools);
        $sum = static fn (string $key): ?float => is_numeric($now[$key] ?? null) ? (float) $now[$key] : null;
        $job->limit($sum('cap'), $sum('worth'));
        $job->sayComeback(\is_bool($now['is_comeback'] ?? null) ? $now['is_comeback'] : null, $text('missed'));
        $job->waitOn(WaitsOn::tryFrom($text('waits_on')));
        '' === $text('handed_back_at') ? $job->takeBack() : $job->handBack(new \DateTimeImmutable($text('handed_back_at')), $text('hand_back_reason'));
    }
}
