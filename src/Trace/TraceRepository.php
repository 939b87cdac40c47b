<?php

declare(strict_types=1);

namespace AwakeShed\App\Trace;

use AwakeShed\App\Device\Gauge\TraceKind;
use AwakeShed\App\Job\Job;
use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\DBAL\Types\Types;
use Doctrine\Persistence\ManagerRegistry;

/** @extends ServiceEntityRepository<Trace> */
final class TraceRepository extends ServiceEntityRepository
{
    private const SHOWN = 20;

    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, Trace::class);
    }

    /** @return list<TraceLine> the latest of a kind, newest first; of the job where one is given */
    public function latest(TraceKind $kind, ?Job $job): array
    {
        $query = $this->createQueryBuilder('trace')
            ->select(\sprintf('NEW %s(trace.id, trace.name, person.name, trace.at, IDENTITY(trace.job))', TraceLine::class))
            ->join('trace.by', 'person')
            ->where('trace.kind = :kind')->setParameter('kind', $kind)
            ->orderBy('trace.at', 'DESC')->addOrderBy('trace.id', 'DESC')
            ->setMaxResults(self::SHOWN);
        if (null !== $job) {
            $query->andWhere('trace.job = :job')->setParameter('job', $job);
        }
        /** @var list<TraceLine> $lines */
        $lines = $query->getQuery()->getResult();

        return $lines;
    }

    /** @param \DateTimeImmutable $since when it may have been begun at the earliest */
    public function lastSpeedOf(Job $job, \DateTimeImmutable $since): ?Trace
    {
        /** @var Trace|null $trace */
        $trace = $this->createQueryBuilder('trace')
            ->where('trace.job = :job AND trace.kind = :kind AND trace.state = :done AND trace.at >= :since')
            ->setParameter('job', $job)->setParameter('kind', TraceKind::Speed)->setParameter('done', TraceState::Done)->setParameter('since', $since)
            ->orderBy('trace.id', 'DESC')->setMaxResults(1)->getQuery()->getOneOrNullResult();

        return $trace;
    }

    /**
     * Adds samples to a recording that is under way; committed at once, so that nothing heard is lost.
     *
     * @param list<float> $times  s
     * @param list<float> $values SI, as many
     *
     * @return bool false when somebody has ended it
     */
    public function append(int $id, array $times, array $values): bool
    {
        return 0 < $this->getEntityManager()->getConnection()->executeStatement(
            'UPDATE trace SET samples = CONCAT(samples, ?) WHERE id = ? AND state = ?',
            [Trace::pack($times, $values), $id, TraceState::Recording->value],
            [Types::BLOB, Types::INTEGER, Types::STRING],
        );
    }

    /** It comes from a stand-in: said wherever it is shown. */
    public function markSimulated(int $id): void
    {
        $this->getEntityManager()->getConnection()->update('trace', ['is_simulated' => 1], ['id' => $id]);
    }

    public function end(int $id): void
    {
        $this->getEntityManager()->getConnection()->update('trace', ['state' => TraceState::Done->value], ['id' => $id]);
    }
}
