<?php

declare(strict_types=1);

namespace AwakeShed\App\Trace;

use AwakeShed\App\Account\Member;
use AwakeShed\App\Device\Gauge\TraceKind;
use AwakeShed\App\Job\Job;
use AwakeShed\App\Job\JobWriter;
use AwakeShed\App\Once\OncePerKey;
use AwakeShed\App\Once\RequestKey;
use AwakeShed\Core\Trace\Series;
use AwakeShed\Core\Trace\SeriesFile;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;

/** Keeps recordings: a job's as everything of a job is written, one of nobody's only once. */
final readonly class TraceKeeper
{
    /** The name of what was heard. */
    public const BY_SOUND = 'by its sound';

    public function __construct(private EntityManagerInterface $entities, private OncePerKey $once, private JobWriter $writer, private ClockInterface $clock)
    {
    }

    /** @param \Closure(): (int|null) $change */
    public function run(?Job $job, RequestKey $key, Member $member, \Closure $change): ?int
    {
        return null === $job ? $this->once->run($key, $member->getId(), $change) : $this->writer->write($job, $member, $key, $change);
    }

    /** @return int|null its number; null when the same was sent before under the key */
    public function import(TraceKind $kind, ?Job $job, RequestKey $key, Member $member, string $name, Series $series, bool $isSimulated = false): ?int
    {
        return $this->begin($job, $key, $member, fn (): Trace => Trace::imported($kind, $job, mb_scrub($name), $member, $this->clock->now(), $series, $isSimulated));
    }

    public function record(TraceKind $kind, ?Job $job, RequestKey $key, Member $member, string $play): ?int
    {
        return $this->begin($job, $key, $member, fn (): Trace => Trace::begun($kind, $job, $play, $member, $this->clock->now()));
    }

    /** As a file that reads in again. */
    public static function csv(Series $speeds): string
    {
        return SeriesFile::print($speeds, TraceKind::Speed->units()[0]);
    }

    /** @param \Closure(): Trace $make */
    private function begin(?Job $job, RequestKey $key, Member $member, \Closure $make): ?int
    {
        return $this->run($job, $key, $member, function () use ($make): int {
            $trace = $make();
            $this->entities->persist($trace);
            $this->entities->flush();

            return $trace->getId();
        });
    }
}
